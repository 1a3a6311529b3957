import { createRequire } from 'node:module'
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { By, Key, until, type WebDriver, type WebElement } from 'selenium-webdriver'
import { openBrowser } from '../../../scripts/browser.mjs'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** A busy machine is slow, not wrong: a wait ends only what hangs. */
const LONGEST_MS = 60_000
const LOOK_EVERY_MS = 40
const FAILED = 'node_modules/.cache/jolvet-test/failed'

/** The app in a browser, as a user meets it: by what is written, by keys, by taps. */
export class App {
  private constructor(
    readonly driver: WebDriver,
    readonly base: string,
    private readonly browser: Awaited<ReturnType<typeof openBrowser>>,
  ) {}

  static async open(base: string, about?: Parameters<typeof openBrowser>[0]): Promise<App> {
    const browser = await openBrowser(about)
    return new App(browser.driver, base, browser)
  }

  close = () => this.browser.close()
  setSize = (width: number, height: number) => this.browser.setSize(width, height)
  setTheme = (dark: boolean) => this.browser.setTheme(dark)

  async go(path: string) {
    await this.driver.get(this.base + path)
    await this.ready()
  }

  /** Takes the page off the network, or puts it back. */
  async setOffline(offline: boolean) {
    const { sendDevToolsCommand: send } = this.driver as WebDriver & {
      sendDevToolsCommand: (command: string, about: object) => Promise<void>
    }
    await send.call(this.driver, 'Network.enable', {})
    await send.call(this.driver, 'Network.emulateNetworkConditions', {
      offline,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: -1,
    })
  }

  async reload() {
    await this.driver.navigate().refresh()
    await this.ready()
  }

  private ready = () =>
    this.until(
      () =>
        this.driver.executeScript(
          'return document.documentElement.dataset.ready === "true" && document.querySelector("main:not([aria-busy=true])") !== null',
        ),
      'the page did not get ready',
    )

  /** Waits for something to be so; a wait that fails leaves a picture of the page and says where. */
  async until(isSo: () => Promise<boolean>, orElse: string) {
    // Drawn anew meanwhile, or covered for a moment: look again.
    const isSoNow = () => isSo().catch(() => false)
    try {
      await this.driver.wait(isSoNow, LONGEST_MS, undefined, LOOK_EVERY_MS)
    } catch {
      mkdirSync(FAILED, { recursive: true })
      const picture = path.join(FAILED, `${Date.now()}-${process.pid}.png`)
      writeFileSync(picture, await this.driver.takeScreenshot(), 'base64')
      const state = await this.driver.executeScript(
        'const state = document.querySelector("[data-saved]"); return state ? `${state.textContent.trim()} ${state.title}` : "no state"',
      )
      throw new Error(`${orElse} at ${await this.driver.getCurrentUrl()}, ${state}; the page: ${picture}`)
    }
  }

  /** The first element of a selector, once it is there. */
  find = (css: string): Promise<WebElement> =>
    this.driver.wait(until.elementLocated(By.css(css)), LONGEST_MS, `nothing at ${css}`, LOOK_EVERY_MS)
  count = async (css: string): Promise<number> => (await this.driver.findElements(By.css(css))).length

  /** Waits until so many elements match. */
  waitForCount = (css: string, n: number) =>
    this.until(async () => (await this.count(css)) === n, `never ${n} of ${css}`)

  /** Clicks once the element is there and seen. */
  click = (css: string) =>
    this.until(async () => {
      const element = await this.driver.findElement(By.css(css))
      await this.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', element)
      await element.click()
      return true
    }, `cannot click ${css}`)

  /** Types over what a field holds. */
  type = (css: string, text: string) =>
    this.until(async () => {
      const field = await this.driver.findElement(By.css(css))
      await this.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', field)
      await field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.DELETE, text)
      return true
    }, `cannot type into ${css}`)

  /** Signs the joint on the screen; what is left is said to be seen. */
  async sign(initials: string) {
    await this.click('[data-test="open-sign"]')
    await this.type('[data-test="initials"]', initials)
    if ((await this.count('[data-test="seen"]')) > 0) await this.click('[data-test="seen"]')
    await this.click('[data-test="sign"]')
  }

  waitForValue = (css: string, value: string) =>
    this.until(
      async () => (await (await this.driver.findElement(By.css(css))).getAttribute('value')) === value,
      `${css} never held "${value}"`,
    )

  press = (...keys: string[]) =>
    this.driver
      .actions()
      .sendKeys(...keys)
      .perform()
  text = async (css: string): Promise<string> => (await this.find(css)).getText()
  value = async (css: string): Promise<string> => (await (await this.find(css)).getAttribute('value')) ?? ''

  waitForText = (css: string, pattern: RegExp) =>
    this.until(
      async () => pattern.test(await (await this.driver.findElement(By.css(css))).getText()),
      `${css} never read ${pattern}`,
    )

  /** Waits until the server has all that was done. */
  saved = () => this.until(async () => (await this.count('[data-saved="saved"]')) > 0, 'never saved')

  /** Waits until the page opens without its server too: from the first key on it keeps what it is made of. */
  async shellKept() {
    await this.press(Key.SHIFT)
    await this.until(
      () =>
        this.driver.executeScript(
          'return navigator.serviceWorker.getRegistration().then((kept) => Boolean(kept?.active))',
        ),
      'the shell was never kept',
    )
  }

  /** Serious and critical findings of axe, as rule and selector. */
  async axe(): Promise<string[]> {
    await this.driver.executeScript(AXE)
    const found = await this.driver.executeAsyncScript<
      { id: string; impact: string; nodes: { target: string[]; failureSummary: string }[] }[]
    >('const done = arguments[0]; axe.run(document, { resultTypes: ["violations"] }).then(r => done(r.violations))')
    return found
      .filter(({ impact }) => impact === 'serious' || impact === 'critical')
      .flatMap(({ id, nodes }) => nodes.map(({ target }) => `${id} ${target.join(' ')}`))
  }

  /** What the console called an error since the last call. */
  async errors(): Promise<string[]> {
    return (await this.driver.manage().logs().get('browser'))
      .filter((entry) => entry.level.name === 'SEVERE')
      .map((entry) => entry.message)
  }
}
