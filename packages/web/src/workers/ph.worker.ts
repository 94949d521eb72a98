import { phCurve } from '@omblet/core'
import { expose } from 'comlink'

const api = { curve: phCurve }
export type PhWorker = typeof api
expose(api)
