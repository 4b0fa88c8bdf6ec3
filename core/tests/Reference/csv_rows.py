"""Reads CSV from standard input as strictly as Python's csv module can, and prints its rows as JSON."""
import csv
import io
import json
import sys

text = sys.stdin.buffer.read().decode("utf-8")
print(json.dumps(list(csv.reader(io.StringIO(text, newline=""), strict=True))))
