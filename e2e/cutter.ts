import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { createInterface } from 'node:readline'

/** The stand-in for a cutting machine, told how to behave; what it says of a job is read line by line. */
export async function startCutter(port: number, mode: string, options: string[] = []) {
  const cutter = spawn('bin/cutter', [`--port=${port}`, `--mode=${mode}`, ...options], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  const lines = createInterface({ input: cutter.stdout })[Symbol.asyncIterator]()
  await lines.next()
  return {
    report: async () =>
      JSON.parse(String((await lines.next()).value)) as {
        cut: number
        outside: number[][]
        finished: boolean
        down: boolean
      },
    stop: async () => {
      cutter.kill()
      await once(cutter, 'exit')
    },
  }
}
