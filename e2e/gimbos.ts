/** The Gimbos that journeys go through: of each kind one a worker, on a port and a database that nothing else uses. */
export const WORKERS = 2

export const GIMBOS = {
  /** What most journeys go through. */
  journeys: { port: 8480, language: 'en' },
  /** For the pictures of the documentation: the demo alone. */
  pictures: { port: 8482, language: 'en' },
  /** Every view once, on a shelf with the demo. */
  views: { port: 8484, language: 'en' },
  /** In the made-up language. */
  language: { port: 8486, language: 'sl-x-tern' },
}

export type Kind = keyof typeof GIMBOS

export const addressOf = (kind: Kind, worker: number) => `http://127.0.0.1:${GIMBOS[kind].port + worker}`

/** Where the stand-in for a cutter listens that a Gimbo knows; the pictures show it, whichever worker takes them. */
export const cutterPortOf = (kind: Kind, worker: number) => (kind === 'pictures' ? 8476 : 8490 + worker)
