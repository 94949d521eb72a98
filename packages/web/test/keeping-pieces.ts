import { demoBatches } from '../src/demo-batches'

export const NOW = Date.parse('2026-06-10T12:00:00Z')
export const demo = () => demoBatches(NOW, (name) => (name === 'Low Tide toner' ? 'low-tide' : null))
