import { useContainers } from './containers'
import { useLots } from './lots'

/** Puts lots and containers of the examples onto the shelf, for trying out; what is there already stays. */
export async function takeInDemoShelf() {
  const { demoShelf } = await import('../demo')
  const { lots, containers } = demoShelf()
  const [shelf, jars] = [useLots(), useContainers()]
  for (const lot of lots) if (!shelf.lots.some((l) => l.id === lot.id)) await shelf.put(lot)
  for (const c of containers) if (!jars.find(c.id)) await jars.put(c)
}
