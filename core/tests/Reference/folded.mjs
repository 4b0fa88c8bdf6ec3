// Reads FOLD documents as a JSON list on standard input and answers, for each, what two independent libraries make of
// it: the flat folded positions of its vertices, and whether what it says is consistent.
import { createRequire } from 'node:module'

const require = createRequire(import.meta.url)
const loaded = require('rabbit-ear')
const ear = loaded.default ?? loaded
const fold = require('fold')

let text = ''
for await (const chunk of process.stdin) text += chunk

const answers = JSON.parse(text).map((document) => {
  const graph = ear.graph(structuredClone(document))
  const copy = fold.convert.faces_vertices_to_edges(fold.convert.deepCopy(document))
  return {
    folded: ear.graph.makeVerticesCoordsFlatFolded(graph, [0]),
    inSpace: ear.graph.makeVerticesCoordsFolded(graph, [0]),
    edgesOfFaces: copy.edges_vertices.length,
    maekawa: ear.singleVertex.validateMaekawa(graph),
    kawasaki: ear.singleVertex.validateKawasaki(graph),
  }
})
process.stdout.write(JSON.stringify(answers))
