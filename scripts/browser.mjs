// Debian's headless Chromium under selenium, at an exact page size.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { Builder } from 'selenium-webdriver'
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome.js'
import logging from 'selenium-webdriver/lib/logging.js'

export const FLAGS = [
  '--headless=new',
  '--disable-dev-shm-usage',
  '--disable-gpu',
  '--disable-quic',
  '--force-device-scale-factor=1',
  '--hide-scrollbars',
  '--no-first-run',
  '--no-default-browser-check',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--disable-extensions',
  '--lang=en-GB',
]
/** What a browser reaches: this machine, and nothing else by whatever name. */
export const ownMachine = (names) =>
  `--host-resolver-rules=${[...names.map((name) => `MAP ${name} 127.0.0.1`), 'MAP * ~NOTFOUND', 'EXCLUDE 127.0.0.1', 'EXCLUDE localhost'].join(', ')}`

/**
 * Opens a browser with a profile of its own; `setSize` sets the page itself, `close` takes the profile away. `names` of
 * this machine are known to it; a certificate is trusted by its key (SHA-256 of it, base64); `isWatched`: its log of
 * performance has every request.
 * @param {{ width?: number, height?: number, names?: string[], trusted?: string, isWatched?: boolean }} [about]
 */
export async function openBrowser({ width = 1280, height = 800, names = [], trusted, isWatched = false } = {}) {
  const profile = mkdtempSync(path.join(tmpdir(), 'jolvet-browser-'))
  const options = new Options()
  options.setChromeBinaryPath(process.env.CHROMIUM ?? '/usr/bin/chromium')
  options.addArguments(...FLAGS, ownMachine(names), `--user-data-dir=${profile}`)
  if (trusted) options.addArguments(`--ignore-certificate-errors-spki-list=${trusted}`)
  // Chromium's own sandbox does not start as root.
  if (process.getuid?.() === 0) options.addArguments('--no-sandbox')
  const preferences = new logging.Preferences()
  preferences.setLevel(logging.Type.BROWSER, logging.Level.ALL)
  if (isWatched) preferences.setLevel(logging.Type.PERFORMANCE, logging.Level.ALL)
  options.setLoggingPrefs(preferences)
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder(process.env.CHROMEDRIVER ?? '/usr/bin/chromedriver'))
    .build()
  const setSize = (w, h) =>
    driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
      width: w,
      height: h,
      deviceScaleFactor: 1,
      mobile: w < 600,
    })
  await setSize(width, height)
  return {
    driver,
    setSize,
    setTheme: (dark) =>
      driver.sendDevToolsCommand('Emulation.setEmulatedMedia', {
        features: [{ name: 'prefers-color-scheme', value: dark ? 'dark' : 'light' }],
      }),
    close: async () => {
      await driver.quit()
      rmSync(profile, { recursive: true, force: true, maxRetries: 5 })
    },
  }
}
