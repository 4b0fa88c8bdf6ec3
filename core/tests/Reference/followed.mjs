// Takes, as a JSON list on standard input, what somebody ended with who followed the steps: edges with their assignment and
// fold angle, and a point in the face that stays. Rabbit Ear 0.9 finds the faces between them and folds them.
import { createRequire } from 'node:module'

const require = createRequire(import.meta.url)
const loaded = require('rabbit-ear')
const ear = loaded.default ?? loaded

let text = ''
for await (const chunk of process.stdin) text += chunk

const isIn = (ring, [x, y]) =>
  ring.reduce((inside, [ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length]
    return ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax ? !inside : inside
  }, false)

const answers = JSON.parse(text).map(({ vertices, edges, assignments, angles, stays }) => {
  const graph = {
    vertices_coords: vertices,
    edges_vertices: edges,
    edges_assignment: assignments,
    edges_foldAngle: angles,
  }
  ear.graph.fragment(graph, 0.002)
  ear.graph.populate(graph, true)
  // The outside has no area of its own.
  const ring = (face) => face.map((v) => graph.vertices_coords[v])
  const root = graph.faces_vertices.findIndex((face) => isIn(ring(face), stays))
  const places = ear.graph.makeVerticesCoordsFolded(graph, [root])
  return { faces: graph.faces_vertices.length, flat: graph.vertices_coords, folded: places }
})
process.stdout.write(JSON.stringify(answers))
