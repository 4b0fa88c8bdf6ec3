"""The box of everything in a DXF drawing as ezdxf (Debian package python3-ezdxf) sees it, as JSON."""
import io
import json
import sys

import ezdxf
from ezdxf import bbox

box = bbox.extents(ezdxf.read(io.StringIO(sys.stdin.read())).modelspace(), fast=False)
print(json.dumps([box.size.x, box.size.y]))
