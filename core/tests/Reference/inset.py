# Reads a JSON list of [polygon, distance] on standard input and answers, for each, the area and the corners' distances
# of the mitred inset that shapely (GEOS) finds: the largest distance from one outline to the other.
import json
import sys

from shapely.geometry import Polygon, MultiPolygon
from shapely.ops import unary_union

answers = []
for ring, distance, ours in json.load(sys.stdin):
    inset = Polygon(ring).buffer(-distance, join_style=2, mitre_limit=50)
    mine = unary_union([Polygon(one) for one in ours]) if ours else MultiPolygon()
    both_empty = inset.is_empty and mine.is_empty
    apart = 0.0 if both_empty else (1e9 if inset.is_empty != mine.is_empty else inset.hausdorff_distance(mine))
    answers.append({"area": inset.area, "apart": apart})
json.dump(answers, sys.stdout)
