"""The layers: an include points only downward, and the core knows no Qt."""
import pathlib
import re
import sys

src = pathlib.Path(sys.argv[1]) / "src"
BELOW = {
    "core": {"core"},
    "words": {"words", "core"},
    "locale": {"locale", "words", "core"},
    "device": {"device", "locale", "words", "core"},
    "render": {"render", "words", "core"},
    "app": {"app", "words", "render", "device", "locale", "core"},
    "cli": {"cli", "words", "render", "device", "locale", "core"},
}
# Inside the core, the road runs one way as well.
ROAD = ["geometry", "text", "project", "shape", "place", "layout", "plan", "job", "calibrate", "check", "trainer", "format", "logbook", "library"]

faults = []
seen = 0
for path in sorted(src.rglob("*.[ch]pp")):
    layer = path.relative_to(src).parts[0]
    for number, line in enumerate(path.read_text().splitlines(), 1):
        ours = re.match(r'\s*#include "([a-z_]+)/([^"]*)"', line)
        where = f"{path}:{number}"
        if ours:
            seen += 1
            if ours[1] not in BELOW[layer]:
                faults.append(f"{where}: {layer} includes {ours[1]}, which lies above it")
            if layer == ours[1] == "core":
                room, other = path.relative_to(src).parts[1], ours[2].split("/")[0]
                if room in ROAD and other in ROAD and ROAD.index(other) > ROAD.index(room):
                    faults.append(f"{where}: core/{room} includes core/{other}, which comes later on the road")
        if layer == "core" and re.match(r"\s*#include <Q", line):
            faults.append(f"{where}: the core includes Qt")
print("\n".join(faults) or f"{seen} includes point downward")
sys.exit(1 if faults or seen < 50 else 0)
