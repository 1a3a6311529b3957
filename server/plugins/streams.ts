import { closeStreams } from '../services/streams'

export default defineNitroPlugin(() => {
  for (const signal of ['SIGTERM', 'SIGINT'] as const) process.once(signal, closeStreams)
})
