import type { Change, ToolSet } from '@/api/client'

/** A design that uses a set of tools is rounded to them, in their system. */
export function toolChanges(tools: ToolSet): Change[] {
  return [
    { at: '/system', to: tools.system },
    { at: '/tools', to: null },
    { at: '/tools/name', to: tools.name },
    { at: '/tools/cut', to: tools.cut },
    { at: '/tools/score', to: tools.score },
    { at: '/tools/punch', to: tools.punch },
    { at: '/tools/notch', to: tools.notch },
    { at: '/tools/reach', to: tools.reach },
    { at: '/tools/trimmer-score', to: tools.trimmerScore ?? null },
    { at: '/tools/trimmer-score/reach', to: tools.trimmerReach ?? null },
    { at: '/tools/score/reach', to: tools.scoreReach ?? null },
    { at: '/tools/slant/reach', to: tools.slant ?? null },
    { at: '/tools/punch/reads', to: tools.reads === 'left' ? 'left' : null },
    { at: '/tools/punches', to: punchesOf(tools) },
  ]
}

const list = (text: string | null | undefined) => (text ? text.split(', ') : undefined)
const pair = (text: string | null | undefined) => (text ? text.split(' × ') : undefined)

/** Punches and dies as a request says them; null where none are named. */
export function punchesOf(tools: ToolSet): Record<string, unknown> | null {
  const said = Object.entries({
    circles: list(tools.circles),
    circleReach: tools.circleReach ?? undefined,
    corners: list(tools.corners),
    tab: pair(tools.tab),
    repeat: tools.repeat ?? undefined,
    holeReach: tools.holeReach ?? undefined,
    dies: list(tools.dies)?.map((die) =>
      die.startsWith('oval ') ? { oval: pair(die.slice('oval '.length)) } : { rect: pair(die) },
    ),
    plate: pair(tools.plate),
    tapes: list(tools.tapes),
  }).filter(([, value]) => value !== undefined)
  return said.length === 0 ? null : Object.fromEntries(said)
}
