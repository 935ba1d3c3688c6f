"""The manual page of dot-lane-cli: its template with the commands as the program itself tells them.
Usage: man_commands.py PROGRAM TEMPLATE OUT"""
import pathlib
import re
import subprocess
import sys

program, template, out = sys.argv[1:]
said = subprocess.run([program, "--help"], capture_output=True, text=True, check=True).stdout


def roff(text):
    return re.sub(r"^([.'])", r"\\&\1", text.replace("\\", "\\e").replace("-", "\\-").replace('"', "\\(dq"))


entries = []  # [use, what it does]
for line in said.splitlines()[2:]:
    if not line.startswith(" "):
        continue
    indent = len(line) - len(line.lstrip())
    use, *about = re.split(r"\s{3,}", line.strip(), maxsplit=1)
    if indent == 2:
        entries.append([use, " ".join(about)])
    elif indent >= 24 or not (use.startswith(("[", "-", "frame", "help")) or about):
        entries[-1][1] += " " + line.strip()
    elif use.startswith(("[", "-")):
        entries[-1][0] += " " + use
        entries[-1][1] += " " + " ".join(about)
    elif use.startswith("help"):
        entries.append([use, " ".join(about)])
    else:
        entries[-1][1] += " " + line.strip()
text = "\n".join(f".TP\n.B {roff(use)}\n{roff(about.strip()) or 'See above.'}" for use, about in entries)
pathlib.Path(out).write_text(pathlib.Path(template).read_text().replace("@COMMANDS@", text))
