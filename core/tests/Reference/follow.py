"""Follows the steps of results (a JSON list on standard input) by their readings alone, with Shapely taking away what comes off.

Written from docs/steps.md. For each piece it answers how much of the sheet it ends with is not in the pattern's faces, or
the other way round (mm2), the least share of anything that came off that lay on paper still there, and how far any point
found by its readings lies from where it is said to be (mm).
"""
import json
import math
import sys

from shapely.geometry import Polygon
from shapely.ops import unary_union


class Sheet:
    def __init__(self):
        self.lines, self.paper, self.width, self.height, self.least, self.off = {}, None, 0.0, 0.0, 1.0, 0.0

    def line(self, l):
        w, h = self.width, self.height
        if "edge" in l:
            a = l["at"]
            return {"left": ((a, 0), (0, 1)), "right": ((w - a, 0), (0, 1)), "bottom": ((0, a), (1, 0)), "top": ((0, h - a), (1, 0))}[l["edge"]]
        if "corner" in l:
            x, y = self.corner(l["corner"])
            d = (w - 2 * x, h - 2 * y)
            n = math.hypot(*d)
            d = (d[0] / n, d[1] / n)
            return ((x + (l["at"] - l["off"]) * d[0], y + (l["at"] - l["off"]) * d[1]), (-d[1], d[0]))
        if "line" in l:
            p, d = self.lines[l["line"]]
            if "off" in l:
                n = (-d[1], d[0])
                out = {"left": (-1, 0), "right": (1, 0), "bottom": (0, -1), "top": (0, 1)}[l["towards"]]
                s = l["off"] if n[0] * out[0] + n[1] * out[1] > 0 else -l["off"]
                p = (p[0] + s * n[0], p[1] + s * n[1])
            return (p, d)
        if "ends" in l:
            a, b = (self.point(p) for p in l["ends"])
            n = math.dist(a, b)
            return (a, ((b[0] - a[0]) / n, (b[1] - a[1]) / n))
        if "through" in l:
            t = math.radians(l["deg"])
            return (self.point(l["through"]), (math.cos(t), math.sin(t)))
        r = l["rail"]
        on, c, k = self.point(r["on"]), self.corner(r["corner"]), r["at"]
        far = math.dist(on, c)
        out = far * k / math.sqrt(far**2 - k**2)
        end = (c[0], abs(c[1] - out)) if r["meets"] in ("left", "right") else (abs(c[0] - out), c[1])
        n = math.dist(on, end)
        return (on, ((end[0] - on[0]) / n, (end[1] - on[1]) / n))

    def corner(self, name):
        return (self.width if name.endswith("right") else 0.0, self.height if name.startswith("top") else 0.0)

    def point(self, p):
        (a, d), (b, e) = (self.line(l) for l in p["by"])
        t = ((b[0] - a[0]) * e[1] - (b[1] - a[1]) * e[0]) / (d[0] * e[1] - d[1] * e[0])
        found = (a[0] + t * d[0], a[1] + t * d[1])
        self.off = max(self.off, math.dist(found, p["is"]))
        return found

    def ring(self, parts):
        ring = []
        for part in parts:
            if "arc" not in part:
                ring.append(self.point(part))
                continue
            arc = part["arc"]
            c, to, start = self.point(arc["centre"]), self.point(arc["to"]), ring[-1]
            a = math.atan2(start[1] - c[1], start[0] - c[0])
            turn = (math.atan2(to[1] - c[1], to[0] - c[0]) - a) % (2 * math.pi)
            turn -= 2 * math.pi if arc["way"] == "cw" else 0
            n = arc["chords"]
            ring += [(c[0] + arc["radius"] * math.cos(a + turn * i / n), c[1] + arc["radius"] * math.sin(a + turn * i / n)) for i in range(1, n)]
            ring.append(to)
        return ring

    def does(self, op):
        if op["op"] == "sheet":
            self.width, self.height = op["width"], op["height"]
            self.paper = Polygon([(0, 0), (self.width, 0), (self.width, self.height), (0, self.height)])
        elif op["op"] == "line":
            self.lines[op["id"]] = self.line(op["on"])
            self.point(op["from"]), self.point(op["to"])
        elif op["op"] == "away":
            off = Polygon(self.ring(op["ring"]))
            self.least = min(self.least, off.intersection(self.paper).area / off.area)
            self.paper = self.paper.difference(off)
        elif op["op"] == "fold":
            for part in op["along"]:
                self.point(part["from"]), self.point(part["to"])


answers = []
for result in json.load(sys.stdin):
    for piece in result["pieces"]:
        sheet = Sheet()
        for step in result["steps"]:
            if step["piece"] == piece["id"]:
                for op in step["ops"]:
                    sheet.does(op)
        at = piece["fold"]["vertices_coords"]
        faces = unary_union([Polygon([at[v] for v in face]).buffer(1e-5, join_style=2) for face in piece["fold"]["faces_vertices"]])
        answers.append({"piece": piece["id"], "differs": sheet.paper.symmetric_difference(faces).area, "around": sheet.paper.length, "least": sheet.least, "off": sheet.off})
print(json.dumps(answers))
