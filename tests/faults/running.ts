import { spawn, spawnSync, type ChildProcess } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { inject } from 'vitest'
import { start, stop } from '../../scripts/db.mjs'
import { copyDatabase } from '../copy-database'
import { appPort } from '../ports'

/** Jolvet as a user starts it, on a data folder of its own, with ways to hurt it. */
export class Running {
  child: ChildProcess | undefined
  output = ''

  private constructor(
    readonly folder: string,
    readonly port: number,
  ) {}

  /** On a folder that is there; without one, on a new one whose database holds the demo jobs. */
  static async on(folder?: string): Promise<Running> {
    if (folder !== undefined) return new Running(folder, await appPort())
    const fresh = mkdtempSync(path.join(tmpdir(), 'jolvet-run-'))
    copyDatabase(inject('template'), path.join(fresh, 'mariadb'))
    return new Running(fresh, await appPort())
  }

  get url() {
    return `http://127.0.0.1:${this.port}`
  }
  get database() {
    return path.join(this.folder, 'mariadb')
  }

  private env = (more: Record<string, string>) => ({
    ...process.env,
    JOLVET_DATA: this.folder,
    PORT: String(this.port),
    JOLVET_RATE_TIMES: '1000',
    ...more,
  })

  /** Runs one of the scripts on this folder to its end. */
  script(name: string, args: string[] = [], env: Record<string, string> = {}) {
    const { status, stdout, stderr } = spawnSync(process.execPath, [`scripts/${name}.mjs`, ...args], {
      encoding: 'utf8',
      timeout: 60_000,
      env: this.env(env),
    })
    return { status, text: stdout + stderr }
  }

  /** Starts it, anew where it runs, and waits for its address. */
  async begin(env: Record<string, string> = {}, ...args: string[]): Promise<void> {
    await this.end()
    this.output = ''
    this.child = await this.untilUp(
      spawn(process.execPath, ['scripts/start.mjs', ...args], {
        env: this.env(env),
        stdio: ['ignore', 'pipe', 'pipe'],
      }),
    )
  }

  /** Starts it as a user does; gives npm's process, which `end` does not know of. */
  beginByNpm(): Promise<ChildProcess> {
    this.output = ''
    return this.untilUp(spawn('npm', ['start'], { env: this.env({}), stdio: ['ignore', 'pipe', 'pipe'] }))
  }

  private async untilUp(child: ChildProcess): Promise<ChildProcess> {
    this.child = child
    const hear = (text: Buffer) => {
      this.output += String(text)
    }
    child.stdout?.on('data', hear)
    child.stderr?.on('data', hear)
    for (let i = 0; !/last backup:|no backup yet/.test(this.output); i++) {
      if (child.exitCode !== null || i > 1200) throw new Error(`it did not start: ${this.output}`)
      await new Promise((resolve) => setTimeout(resolve, 50))
    }
    return child
  }

  async end(): Promise<void> {
    const child = this.child
    if (!child || child.exitCode !== null || child.signalCode !== null) return
    const gone = new Promise((resolve) => child.once('exit', resolve))
    child.kill('SIGTERM')
    await gone
  }

  private kill(pid: number) {
    try {
      process.kill(pid, 'SIGKILL')
    } catch {
      // It was being started again just then.
    }
  }

  killDatabase() {
    this.kill(this.databasePid)
  }
  get serverPid(): number {
    return (JSON.parse(readFileSync(path.join(this.folder, 'run.json'), 'utf8')) as { app: number }).app
  }
  get databasePid(): number {
    return Number(readFileSync(path.join(this.database, 'mariadbd.pid'), 'utf8'))
  }
  killServer() {
    this.kill(this.serverPid)
  }
  /** Kills the start itself: server and database stay behind without it. */
  killStart() {
    this.child?.kill('SIGKILL')
  }

  /** Work on its database alone, with nothing else running. */
  connection = () => start({ dir: this.database })

  async remove() {
    await this.end()
    await stop({ dir: this.database })
    rmSync(this.folder, { recursive: true, force: true })
  }
}
