"""Turns a page of a PDF into SVG with poppler's pdftocairo and prints its straight lines in millimetres as JSON.

Arguments: the file and the page, counted from 1. y runs down from the top of the page.
"""
import json
import re
import subprocess
import sys
import xml.etree.ElementTree as tree

POINT_MM = 25.4 / 72
NUMBER = r"-?\d+(?:\.\d+)?"


def lines(path, page):
    svg = subprocess.run(
        ["pdftocairo", "-svg", "-noshrink", "-f", str(page), "-l", str(page), path, "-"], check=True, capture_output=True
    ).stdout
    for element in tree.fromstring(svg).iter("{http://www.w3.org/2000/svg}path"):
        # Letters are paths as well, but filled ones.
        style = dict(pair.split(":", 1) for pair in element.get("style", "").split(";") if ":" in pair)
        if style.get("stroke", "none") == "none":
            continue
        a, b, c, d, e, f = 1, 0, 0, 1, 0, 0
        match = re.match(r"matrix\((.*)\)", element.get("transform", ""))
        if match:
            a, b, c, d, e, f = map(float, re.findall(NUMBER, match.group(1)))
        points = [tuple(map(float, pair)) for pair in re.findall(rf"[ML] ({NUMBER}) ({NUMBER})", element.get("d", ""))]
        placed = [((a * x + c * y + e) * POINT_MM, (b * x + d * y + f) * POINT_MM) for x, y in points]
        for (x1, y1), (x2, y2) in zip(placed, placed[1:]):
            yield [round(value, 4) for value in (x1, y1, x2, y2)] + [style.get("stroke-dasharray", "none") != "none"]


print(json.dumps(list(lines(sys.argv[1], int(sys.argv[2])))))
