import { expose } from 'comlink'
import { batchFile, saveBackup, takeFile } from '../storage/files'

const api = { takeFile, saveBackup, batchFile }
export type FilesWorker = typeof api
expose(api)
