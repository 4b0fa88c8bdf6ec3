"""Says of each document on its input, {"is": schema, "document": …} a line, whether it is what the contract promises.

Validated by python3-jsonschema (draft 2020-12), which shares no code with the validator of the other tests.
"""
import json
import sys

from jsonschema import Draft202012Validator

with open(sys.argv[1], encoding="utf-8") as file:
    schemas = json.load(file)["components"]["schemas"]
contract = {"components": {"schemas": schemas}}
validators = {}
for line in sys.stdin:
    asked = json.loads(line)
    name = asked["is"]
    if name not in validators:
        schema = {"$schema": "https://json-schema.org/draft/2020-12/schema", "$ref": "#/components/schemas/" + name, **contract}
        Draft202012Validator.check_schema(schema)
        validators[name] = Draft202012Validator(schema)
    error = next(validators[name].iter_errors(asked["document"]), None)
    print("valid" if error is None else f"{error.json_path}: {error.message[:200]}")
