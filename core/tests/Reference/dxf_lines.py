"""Reads a DXF drawing from standard input with ezdxf, audits it, and prints what it holds as JSON."""
import io
import json
import sys

import ezdxf

drawing = ezdxf.read(io.StringIO(sys.stdin.buffer.read().decode("ascii").replace("\r\n", "\n")))
audit = drawing.audit()
lines = [
    {
        "layer": line.dxf.layer,
        "isClosed": line.is_closed,
        "points": [[round(v.dxf.location.x, 6), round(v.dxf.location.y, 6)] for v in line.vertices],
    }
    for line in drawing.modelspace().query("POLYLINE")
]
print(
    json.dumps(
        {
            "version": drawing.acad_release,
            "units": drawing.header.get("$INSUNITS", 0),
            "errors": [str(error.message) for error in audit.errors],
            "fixes": [str(fix.message) for fix in audit.fixes],
            "layers": sorted(layer.dxf.name for layer in drawing.layers),
            "linetypes": {layer.dxf.name: layer.dxf.linetype for layer in drawing.layers},
            "lines": lines,
        }
    )
)
