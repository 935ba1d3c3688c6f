"""The manual page of dot-lane-cli: its template with the commands as the program itself tells them, in the language that
the environment asks for. Usage: man_commands.py PROGRAM TEMPLATE OUT"""
import json
import pathlib
import re
import subprocess
import sys

program, template, out = sys.argv[1:]
uses = json.loads(subprocess.run([program, "help", "--json"], capture_output=True, check=True).stdout)


def roff(text):
    return re.sub(r"^([.'])", r"\\&\1", text.replace("\\", "\\e").replace("-", "\\-").replace('"', "\\(dq"))


text = ""
for one in uses:
    entry = f".TP\n.B {roff(one['use'])}\n{roff(one['about'])}\n"
    text += f".RS\n{entry}.RE\n" if one["use"].startswith("-") else entry
pathlib.Path(out).write_text(pathlib.Path(template).read_text(encoding="utf-8").replace("@COMMANDS@\n", text), encoding="utf-8")
