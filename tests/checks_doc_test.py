"""help/en/checks.md lists every finding that the core can have, and none besides."""
import pathlib
import re
import sys

root = pathlib.Path(sys.argv[1])
listed = re.findall(r"^\| `([a-z-]+)` \|", (root / "help/en/checks.md").read_text(), re.M)
said = set()
for folder in ("check", "format", "logbook"):
    for source in sorted((root / "src/core" / folder).glob("*.cpp")):
        text = source.read_text()
        said |= set(re.findall(r'\b(?:add|note|say)\(\s*"([a-z-]+)"\s*,\s*(?:[^,;()]*\? )?Severity', text))
        said |= set(re.findall(r'\b(?:add|note|say)\(\s*"([a-z-]+)",\s*stays', text))
        said |= set(re.findall(r'\{\s*"([a-z-]+)",\s*Severity::', text)) | set(re.findall(r'Finding f?\{"([a-z-]+)"', text))
        for choice in re.findall(r'\badd\(([^;,{}]*\?[^;]*?),\s*(?:over|Severity|weak)', text):
            said |= set(re.findall(r'"([a-z-]+)"', choice))
faults = [f"{code}: listed twice" for code in set(listed) if listed.count(code) > 1]
faults += [f"{code}: found by the core, not in help/en/checks.md" for code in sorted(said - set(listed))]
faults += [f"{code}: in help/en/checks.md, never found" for code in sorted(set(listed) - said)]
# Every one is made to speak by some test.
tests = "\n".join(p.read_text() for p in sorted((root / "tests").rglob("*.[cp][py]*")))
faults += [f"{code}: no test names it" for code in listed if f'"{code}"' not in tests]
print("\n".join(faults) or f"{len(listed)} findings are listed")
sys.exit(1 if faults or len(said) < 60 else 0)
