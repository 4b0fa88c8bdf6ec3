import {
  AmbientLight,
  BackSide,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  FrontSide,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshLambertMaterial,
  PerspectiveCamera,
  Scene,
  ShapeUtils,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three'
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js'
import type { FoldedPiece, Piece, Sized } from '@/api/client'
import { laidOn, layersUnder, paperColour } from '../drawing/laid'
import { partAt, type Assembly } from './assembly'
import { bandRound } from './band'
import type { XYZ } from './folded'

export interface Colours {
  inside: string
  outside: string
  held: string
  ink: string
  /** What is laid on, where its paper's colour is not known. */
  laid: string
}

/** Paper on paper is drawn this far apart at least. */
const LEAST_LIFT_MM = 0.35

const CLEAR = 'clear '

const TURN_STEP = Math.PI / 24
const FIELD_DEGREES = 32
/** A thing fills less than the sphere round it. */
const CLOSE_UP = 0.86

/** Draws what the core worked out: paper, its two sides, and what it holds. Renders only when something changed. */
export class FoldScene {
  private readonly renderer: WebGLRenderer
  private readonly scene = new Scene()
  private readonly camera = new PerspectiveCamera(FIELD_DEGREES, 1, 1, 20_000)
  private readonly controls: OrbitControls
  private readonly table = new Group()
  private readonly inside = new MeshLambertMaterial({
    side: FrontSide,
    polygonOffset: true,
    polygonOffsetFactor: 0.5,
    polygonOffsetUnits: 1,
  })
  private readonly outside = new MeshLambertMaterial({
    side: BackSide,
    polygonOffset: true,
    polygonOffsetFactor: 0.5,
    polygonOffsetUnits: 1,
  })
  private readonly held = new MeshLambertMaterial({
    polygonOffset: true,
    polygonOffsetFactor: 0.5,
    polygonOffsetUnits: 1,
  })
  private readonly lines = new LineBasicMaterial()
  private readonly papers = new Map<string, MeshLambertMaterial>()
  private plain = '#ffffff'
  private design: Pick<Sized, 'pieces' | 'papers'> = { pieces: [], papers: [] }
  private assembly: Assembly = { parts: [], stages: [], isWhole: false }
  private moment = 0
  private showsHeld = true
  private queued = 0
  private laid: BufferGeometry[] = []
  private radius = 1
  private readonly centre = new Vector3()
  /** How often it has been drawn, for measuring. */
  frames = 0

  /** @throws where there is no WebGL */
  constructor(
    canvas: HTMLCanvasElement,
    private readonly onDrawn: (frames: number) => void,
  ) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true, alpha: true })
    this.renderer.setPixelRatio(Math.min(window.devicePixelRatio, 2))
    const sun = new DirectionalLight(0xffffff, 1.7)
    sun.position.set(-0.5, -0.7, 1.4)
    const sky = new DirectionalLight(0xffffff, 0.5)
    sky.position.set(0.8, 0.3, 0.5)
    this.camera.up.set(0, 0, 1)
    this.camera.add(sky)
    this.scene.add(new AmbientLight(0xffffff, 1.5), sun, this.camera, this.table)
    this.controls = new OrbitControls(this.camera, canvas)
    this.controls.enablePan = false
    this.controls.addEventListener('change', this.draw)
  }

  paint(colours: Colours) {
    this.inside.color = new Color(colours.inside)
    this.outside.color = new Color(colours.outside)
    this.held.color = new Color(colours.held)
    this.lines.color = new Color(colours.ink)
    this.plain = colours.laid
    this.papers.get('')?.color.set(colours.laid)
    this.draw()
  }

  resize(width: number, height: number) {
    this.renderer.setSize(width, height, false)
    this.camera.aspect = width / Math.max(1, height)
    this.camera.updateProjectionMatrix()
    this.draw()
  }

  /** Another design, or the same one changed; looked at afresh when its shape is another. */
  show(
    design: Pick<Sized, 'pieces' | 'papers'>,
    assembly: Assembly,
    moment: number,
    showsHeld: boolean,
    isAnother: boolean,
  ) {
    this.design = design
    this.assembly = assembly
    this.moment = moment
    this.showsHeld = showsHeld
    const piece = assembly.parts[0]?.piece
    // What lies on its corner on the tool stands upright when it is looked at, its inside or its outside up.
    this.table.rotation.set(piece?.folding.side === -1 ? Math.PI : 0, 0, piece ? -lieOf(piece) : 0)
    this.lay()
    if (isAnother) this.lookAfresh()
    this.draw()
  }

  lookAfresh() {
    const away =
      (CLOSE_UP * this.radius) / Math.sin(((FIELD_DEGREES / 2) * Math.PI) / 180) / Math.min(1, this.camera.aspect)
    this.camera.position.set(-0.42 * away, -0.78 * away, 0.62 * away)
    this.controls.target.set(0, 0, 0)
    this.controls.update()
  }

  /** A step to the side or up and down, as with the arrow keys. */
  turn(sideways: number, upwards: number) {
    const offset = this.camera.position.clone().sub(this.controls.target)
    offset.applyAxisAngle(new Vector3(0, 0, 1), sideways * TURN_STEP)
    const right = new Vector3(0, 0, 1).cross(offset).normalize()
    const raised = offset.clone().applyAxisAngle(right, -upwards * TURN_STEP)
    // Never over the top: there the picture would tip over.
    if (Math.abs(raised.clone().normalize().z) < 0.995) offset.copy(raised)
    this.camera.position.copy(this.controls.target).add(offset)
    this.controls.update()
    this.draw()
  }

  closer(factor: number) {
    this.camera.position.sub(this.controls.target).multiplyScalar(factor).add(this.controls.target)
    this.controls.update()
    this.draw()
  }

  dispose() {
    cancelAnimationFrame(this.queued)
    this.controls.dispose()
    this.clear()
    this.renderer.dispose()
  }

  private readonly draw = () => {
    if (this.queued) return
    this.queued = requestAnimationFrame(() => {
      this.queued = 0
      this.focus()
      this.renderer.render(this.scene, this.camera)
      this.onDrawn(++this.frames)
    })
  }

  /** Depth is told apart the finer, the less of it there is to see. */
  private focus() {
    const away = this.camera.position.distanceTo(this.controls.target)
    this.camera.near = Math.max(0.1, away - 1.2 * this.radius)
    this.camera.far = away + 1.2 * this.radius
    this.camera.updateProjectionMatrix()
  }

  /** Paper of a colour, both of its sides alike. */
  private laidIn(colour: string): MeshLambertMaterial {
    const known = this.papers.get(colour)
    if (known) return known
    const isClear = colour.startsWith(CLEAR)
    const material = new MeshLambertMaterial({
      side: DoubleSide,
      color: new Color(colour.replace(CLEAR, '') || this.plain),
      transparent: isClear,
      opacity: isClear ? 0.45 : 1,
    })
    this.papers.set(colour, material)
    return material
  }

  private clear() {
    for (const geometry of this.laid) geometry.dispose()
    this.laid = []
    this.table.clear()
  }

  private lay() {
    this.clear()
    const paper = new Soup()
    const held = new Soup()
    const outlines: number[] = []
    const others = new Map<string, Soup>()
    const made: XYZ[] = []
    for (const part of this.assembly.parts) {
      const { faces, edges, contents, at } = partAt(part, this.assembly.stages, this.moment)
      const flat = part.piece.fold
      const joined = new Set(
        flat.edges_vertices.flatMap(([a, b], e) =>
          flat.edges_assignment[e] === 'J' ? [`${a} ${b}`, `${b} ${a}`] : [],
        ),
      )
      faces.forEach((ring, f) => {
        const corners = (flat.faces_vertices[f] ?? []).map((v): [number, number] => flat.vertices_coords[v] ?? [0, 0])
        paper.polygon(ring, corners)
        made.push(...ring)
        outline(outlines, ring, (i, next) =>
          joined.has(`${flat.faces_vertices[f]?.[i]} ${flat.faces_vertices[f]?.[next]}`),
        )
      })
      for (const ring of edges) {
        paper.quad(ring)
        outline(outlines, ring)
      }
      for (const one of laidOn(this.design, part.piece, part.piece.count > 1 ? part.copy : undefined)) {
        // Vellum and film let through what lies behind them.
        const colour = `${one.piece.role === 'backing' ? CLEAR : ''}${paperColour(this.design, one.piece) ?? ''}`
        const soup = others.get(colour) ?? new Soup()
        others.set(colour, soup)
        // On the side it is glued to, above what lies under it: as thick as that is, and at least to be told apart.
        const side = one.side === 'inside' ? 1 : -1
        const above = side * Math.max(LEAST_LIFT_MM * (1 + layersUnder(this.design, one.piece)), one.piece.below ?? 0)
        for (const { on, ring } of one.faces) {
          const face = flat['faces_gimbo:name'].indexOf(on)
          if (face < 0) continue
          const corners = ring.map((point) => at(face, point, above))
          soup.polygon(corners, ring as Array<[number, number]>)
        }
        for (const [from, to] of one.edges) {
          const face = flat['faces_gimbo:name'].indexOf(one.faces[0]?.on ?? '')
          if (face >= 0 && one.faces.every(({ on }) => on === one.faces[0]?.on))
            outlines.push(...at(face, from, above), ...at(face, to, above))
        }
      }
      if (contents && this.showsHeld) {
        const { under, top } = contents
        held.quad(top)
        top.forEach((corner, i) => {
          const next = (i + 1) % top.length
          const [a, b, c] = [under[i], under[next], top[next]]
          if (a && b && c) held.quad([a, b, c, corner])
        })
        outline(outlines, top)
      }
    }
    for (const band of this.bands()) {
      const first = this.assembly.parts[0]
      const colour = paperColour(this.design, band) ?? ''
      const soup = others.get(colour) ?? new Soup()
      others.set(colour, soup)
      for (const side of bandRound(made, first && !first.place ? lieOf(first.piece) : 0, band.sheet.height)) {
        soup.quad(side)
        outline(outlines, side)
      }
    }
    const sheet = paper.geometry()
    const lines = new BufferGeometry()
    lines.setAttribute('position', new BufferAttribute(new Float32Array(outlines), 3))
    const block = held.geometry()
    const laid = [...others].map(([colour, soup]) => ({ geometry: soup.geometry(), material: this.laidIn(colour) }))
    this.laid = [sheet, lines, block, ...laid.map(({ geometry }) => geometry)]
    this.table.add(
      ...laid.map(({ geometry, material }) => new Mesh(geometry, material)),
      new Mesh(sheet, this.inside),
      new Mesh(sheet, this.outside),
      new Mesh(block, this.held),
      new LineSegments(lines, this.lines),
    )
    this.frame(sheet)
  }

  /** What goes round the thing, once that is whole and closed. */
  private bands(): Piece[] {
    const { isWhole, stages } = this.assembly
    return isWhole && this.moment >= stages.length - 1e-3
      ? this.design.pieces.filter(({ role }) => role === 'band')
      : []
  }

  /** Keeps the middle of what there is in the middle, and as large as it can be at any moment. */
  private frame(sheet: BufferGeometry) {
    sheet.computeBoundingSphere()
    const sphere = sheet.boundingSphere
    if (!sphere) return
    const before = this.radius
    this.radius = Math.max(1, sphere.radius)
    this.centre.copy(sphere.center).applyEuler(this.table.rotation)
    this.table.position.copy(this.centre).negate()
    if (before !== 1)
      this.camera.position
        .sub(this.controls.target)
        .multiplyScalar(this.radius / before)
        .add(this.controls.target)
  }
}

/** The angle of the standing face's first side on the sheet. */
function lieOf({ fold, folding }: FoldedPiece): number {
  const [a, b] = (fold.faces_vertices[folding.root] ?? []).map((v) => fold.vertices_coords[v] ?? [0, 0])
  return a && b ? Math.atan2((b[1] ?? 0) - (a[1] ?? 0), (b[0] ?? 0) - (a[0] ?? 0)) : 0
}

/** Triangles, each with its own corners, so that every face is shaded flat. */
class Soup {
  private readonly corners: number[] = []

  polygon(ring: XYZ[], flat: Array<[number, number]>) {
    const triangles = ShapeUtils.triangulateShape(
      flat.map(([x, y]) => new Vector2(x, y)),
      [],
    )
    for (const triangle of triangles) for (const i of triangle) this.corners.push(...(ring[i] ?? [0, 0, 0]))
  }

  quad([a, b, c, d]: XYZ[]) {
    if (a && b && c && d) for (const corner of [a, b, c, a, c, d]) this.corners.push(...corner)
  }

  geometry(): BufferGeometry {
    const geometry = new BufferGeometry()
    geometry.setAttribute('position', new BufferAttribute(new Float32Array(this.corners), 3))
    geometry.computeVertexNormals()
    return geometry
  }
}

/** Every side of a ring, but for those that part one face. */
function outline(lines: number[], ring: XYZ[], isNone: (from: number, to: number) => boolean = () => false) {
  ring.forEach((corner, i) => {
    const next = (i + 1) % ring.length
    if (!isNone(i, next)) lines.push(...corner, ...(ring[next] ?? corner))
  })
}
