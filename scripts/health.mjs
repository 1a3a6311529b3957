// Asks a Jolvet on this machine whether it is up.
import http from 'node:http'
import https from 'node:https'

/**
 * Whether a server answers with 200. Its certificate is for the names of the network, not for the address that this
 * machine asks it by: who it is is known, it was started here.
 */
export const isHealthy = (asked) =>
  new Promise((resolve) => {
    const { get } = asked.startsWith('https:') ? https : http
    get(
      `${asked}/api/health`,
      { headers: { Host: 'localhost' }, rejectUnauthorized: false, timeout: 2000, agent: false },
      (reply) => {
        reply.resume()
        resolve(reply.statusCode === 200)
      },
    )
      .once('timeout', function () {
        this.destroy()
      })
      .once('error', () => resolve(false))
  })
