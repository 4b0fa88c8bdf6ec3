"""Cuts what plans say, knowing nothing of how they were made: one sheet in the hand, one cut after another by its number.

Reads a list of [job, plan] from standard input, writes the list of complaints. Lengths exact, as fractions of a millimetre.
"""

import json
import sys
from fractions import Fraction


def length(text):
    number, unit = text.rsplit(" ", 1)
    return sum(Fraction(part) for part in number.split()) * Fraction({"mm": "1", "m": "1000", "in": "25.4", "yd": "914.4"}[unit])


def near(a, b):
    return abs(Fraction(a) - b) < Fraction(1, 100_000)


class Cutter:
    def __init__(self, job, plan):
        self.job, self.complaints, self.pieces = job, [], {}
        trimmer = job.get("trimmer", {})
        self.kerf = length(trimmer.get("kerf", "0 mm"))
        self.longest = length(trimmer["longest"]) if "longest" in trimmer else None
        self.measures = length(trimmer["measures"]) if "measures" in trimmer else None
        self.margin = length(job.get("margin", "0 mm"))
        keep = job.get("keep", {"width": "1 in", "height": "2 in"})
        self.keep = (length(keep["width"]), length(keep["height"]))
        stock = {one["id"]: one for one in job.get("stock", [])}
        used = dict.fromkeys(stock, 0)
        offcuts, waste = {}, 0
        self.step, runs = length(trimmer.get("step", "1/16 in")), {}
        for sheet in plan["sheets"]:
            one = stock[sheet["stock"]]
            used[one["id"]] += sheet["times"]
            size = (length(one["width"]), length(one["height"]))
            numbers, self.placed = [], []
            left = self.part(sheet["tree"], size, (Fraction(0), Fraction(0)), size, one, sheet["times"], 0, numbers)
            if sorted(numbers) != list(range(1, len(numbers) + 1)):
                self.complaints.append("the cuts are not numbered from 1 on")
            for run in job.get("runs", []):
                runs[run["id"]] = runs.get(run["id"], 0) + sheet["times"] * self.running(run)
            for w, h, is_offcut in left:
                if is_offcut:
                    key = (one.get("paper", ""), round(float(w), 4), round(float(h), 4))
                    offcuts[key] = offcuts.get(key, 0) + sheet["times"]
                else:
                    waste += w * h * sheet["times"]
        for run in plan.get("runs", []):
            if runs.get(run["id"], 0) < run["count"]:
                self.complaints.append(f"{run['id']} runs on {runs.get(run['id'], 0)} times, not {run['count']}")
        for id, count in used.items():
            if count > stock[id].get("count", 1):
                self.complaints.append(f"{id}: more than there are")
            if plan["used"].get(id) != count:
                self.complaints.append(f"{id}: used otherwise than is said")
        said = {(one["paper"], round(one["width"], 4), round(one["height"], 4)): one["count"] for one in plan["offcuts"]}
        if said != offcuts:
            self.complaints.append("other offcuts are left than is said")
        if abs(float(waste) - plan["waste"]) > 0.01:
            self.complaints.append("more or less is wasted than is said")
        missing = {one["id"]: one["count"] for one in plan["missing"]}
        for piece in job["pieces"]:
            got = self.pieces.get(piece["id"], 0)
            if got + missing.get(piece["id"], 0) != piece.get("count", 1):
                self.complaints.append(f"{piece['id']}: {got} of {piece.get('count', 1)}")

    def running(self, run):
        """How often the pieces of a run lie as they must on this sheet: each one beside the last, middle on middle."""
        taken, count = set(), 0
        for turned in (False, True):
            for i, start in enumerate(self.placed):
                chain = [i]
                for name in run["pieces"][1:]:
                    chain += [j for j, next in enumerate(self.placed) if next[0] == name and j not in taken and j not in chain and self.follows(self.placed[chain[-1]], next, run, turned)][:1]
                if start[0] == run["pieces"][0] and i not in taken and len(chain) == len(run["pieces"]):
                    taken.update(chain)
                    count += 1
        return count

    def follows(self, one, next, run, turned):
        (_, x, y, w, h), (_, nx, ny, nw, nh) = one, next
        middle = max(self.step, 2 * self.kerf)
        if (run.get("along", "width") == "width") != turned:
            after = nx == x + w + self.kerf if not turned else x == nx + nw + self.kerf
            return after and abs(2 * y + h - 2 * ny - nh) <= 4 * middle
        return ny == y + h + self.kerf and abs(2 * x + w - 2 * nx - nw) <= 4 * middle

    def part(self, node, size, at, sheet, stock, times, after, numbers):
        """Cuts a part that is there; gives what is neither cut nor a piece."""
        w, h = size
        if not (near(node["width"], w) and near(node["height"], h)):
            self.complaints.append("a part is another size than is said")
        if "cut" not in node:
            return self.leaf(node, size, at, sheet, stock, times)
        n, upright, reading = node["cut"]["n"], node["cut"]["axis"] == "width", Fraction(node["cut"]["at"])
        side, across = (w, h) if upright else (h, w)
        numbers.append(n)
        if n <= after:
            self.complaints.append(f"cut {n} comes before its part is there")
        if not 0 < reading < side:
            self.complaints.append(f"cut {n} lies outside its part")
        if self.longest is not None and across > self.longest:
            self.complaints.append(f"cut {n} is longer than the trimmer cuts")
        if self.measures is not None and min(reading, side - reading - self.kerf) > self.measures:
            self.complaints.append(f"cut {n} is farther from both edges than the trimmer measures")
        # As near as it is written: sums of many must not add up what was rounded.
        reading = Fraction(round(reading * 14_400), 14_400)
        left = []
        for i, (start, end) in enumerate([(Fraction(0), reading), (reading + self.kerf, max(side, reading + self.kerf))]):
            part = (end - start, h) if upright else (w, end - start)
            place = (at[0] + start, at[1]) if upright else (at[0], at[1] + start)
            left += self.part(node["parts"][i], part, place, sheet, stock, times, n, numbers)
        return left

    def leaf(self, node, size, at, sheet, stock, times):
        w, h = size
        if "piece" not in node:
            is_worth_it = min(w, h) > 0 and ((w >= self.keep[0] and h >= self.keep[1]) or (h >= self.keep[0] and w >= self.keep[1]))
            if node.get("offcut", False) != is_worth_it:
                self.complaints.append("what is worth keeping is called otherwise")
            return [(w, h, is_worth_it)]
        piece = next(one for one in self.job["pieces"] if one["id"] == node["piece"])
        name = piece["id"]
        self.pieces[name] = self.pieces.get(name, 0) + times
        self.placed.append((name, at[0], at[1], w, h))
        is_size = (length(piece["width"]), length(piece["height"]))
        if node["turned"]:
            is_size = is_size[::-1]
            if not piece.get("turn", True):
                self.complaints.append(f"{name} may not be turned")
        if not (near(is_size[0], w) and near(is_size[1], h)):
            self.complaints.append(f"{name} is another size")
        if piece.get("paper", "") != stock.get("paper", ""):
            self.complaints.append(f"{name} comes out of another paper")
        if stock["id"] not in piece.get("stock", [stock["id"]]):
            self.complaints.append(f"{name} may not come out of {stock['id']}")
        if min(at[0], at[1], sheet[0] - at[0] - w, sheet[1] - at[1] - h) < self.margin:
            self.complaints.append(f"{name} has a rough edge")
        return []


print(json.dumps([Cutter(job, plan).complaints for job, plan in json.load(sys.stdin)]))
