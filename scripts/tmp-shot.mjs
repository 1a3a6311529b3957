import { writeFileSync } from 'node:fs'
import { openBrowser } from './browser.mjs'
const base = `http://127.0.0.1:${process.env.PORT ?? 3100}`
const [out, path, size = '1280x800', theme = 'light', script = ''] = process.argv.slice(2)
const [w, h] = size.split('x').map(Number)
const b = await openBrowser({ width: w, height: h })
const { driver } = b
await driver.get(base + path)
await driver.sleep(1500)
if (theme === 'cellar') {
  await driver.executeScript("localStorage.setItem('jolvet-theme','cellar')")
  await driver.get(base + path)
  await driver.sleep(1500)
}
if (script) {
  await driver
    .executeAsyncScript(
      `const done = arguments[arguments.length-1]; (async () => { ${script} })().then(done, (e) => done(String(e)))`,
    )
    .then((r) => r && console.log(r))
  await driver.sleep(800)
}
writeFileSync(out, Buffer.from(await driver.takeScreenshot(), 'base64'))
const logs = await driver
  .manage()
  .logs()
  .get('browser')
  .catch(() => [])
for (const l of logs) console.log(l.level.name, l.message.slice(0, 300))
await (b.close ? b.close() : driver.quit())
