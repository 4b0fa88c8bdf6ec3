"""What independent readers find of pieces with openings: ezdxf the closed cuts of a DXF drawing (Debian package
python3-ezdxf), shapely (python3-shapely) the shape they leave, and how far that is from the faces of a FOLD document,
and from the panel less what was asked for: discs, ellipses and rounded rectangles made by shapely itself.

A JSON list of {dxf, faces, panel, asked: [{kind, x, y, width, height, radius}]} in; for each {apart, asked} in square millimetres out."""
import io
import json
import sys

import ezdxf
from shapely import affinity
from shapely.geometry import Point, Polygon, box
from shapely.ops import unary_union


def shape(one):
    x, y, w, h = one["x"], one["y"], one["width"], one["height"]
    if one["kind"] == "rect":
        r = one["radius"]
        inner = box(x - w / 2 + r, y - h / 2 + r, x + w / 2 - r, y + h / 2 - r)
        return inner.buffer(r, 256) if r > 0 else inner
    return affinity.scale(Point(x, y).buffer(1, 256), w / 2, h / 2)


answers = []
for case in json.load(sys.stdin):
    drawing = ezdxf.read(io.StringIO(case["dxf"].replace("\r\n", "\n")))
    rings = []
    for entity in drawing.modelspace():
        if entity.dxf.layer == "cut-outline":
            points = [tuple(v.dxf.location)[:2] for v in entity.vertices]
            if len(points) > 2:
                rings.append(Polygon(points))
    rings.sort(key=lambda ring: -ring.area)
    left = rings[0].difference(unary_union(rings[1:])) if rings else Polygon()
    faces = unary_union([Polygon(face).buffer(0) for face in case["faces"]])
    answer = {"apart": left.symmetric_difference(faces).area}
    if case["panel"]:
        asked = Polygon(case["panel"]).difference(unary_union([shape(one) for one in case["asked"]]))
        answer["asked"] = asked.symmetric_difference(faces).area
        answer["round"] = sum(shape(one).length for one in case["asked"])
    answers.append(answer)
json.dump(answers, sys.stdout)
