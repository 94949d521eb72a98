export { writeCsv } from '@omblet/core'
