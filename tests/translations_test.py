"""Every text of the window and of the core has its translation, with the same figures in it: lupdate, which is not ours,
gathers the texts anew. The command line speaks the language of the locale."""
import os
import pathlib
import re
import subprocess
import sys
import tempfile
import xml.etree.ElementTree as tree

from cli_run import check, cli, finish, root

build = pathlib.Path(cli).parent.parent
with tempfile.TemporaryDirectory() as folder:
    subprocess.run([root / "scripts/update-translations", build, folder], check=True, capture_output=True)
    count = 0
    for path in sorted(pathlib.Path(folder).glob("*.ts")):
        kept = (root / "translations" / path.name).read_text()
        for context in tree.parse(path).getroot().findall("context"):
            name = context.find("name").text
            for message in context.findall("message"):
                count += 1
                source, translation = message.find("source").text, message.find("translation")
                text = translation.text or ""
                where = f"{path.name}, {name}, {source!r}"
                check(f"{where}: not translated", translation.get("type") is None and text)
                if not text:
                    continue
                check(f"{where}: other places for figures in {text!r}", sorted(re.findall("%[0-9]", source)) == sorted(re.findall("%[0-9]", text)))
                figures = lambda of: set(re.findall(r"\{\*?([a-z0-9-]+)", of))
                check(f"{where}: other figures in {text!r}", figures(text) <= figures(source))
                check(f"{where}: other spaces at its ends in {text!r}", (source[0] == " ", source[-1] == " ") == (text[0] == " ", text[-1] == " "))
        sources = len(re.findall("<source>", kept))
        check(f"{path.name} has texts that are gone; run scripts/update-translations", sources == len(re.findall("<source>", path.read_text())))
    check("hardly a text was found", count > 2500)

demo = root / "demo/lighthouse-card.dotlane"


def told(language, *words):
    environment = {**os.environ, "LANGUAGE": language, "LANG": f"{language}.UTF-8", "LC_ALL": ""}
    return subprocess.run([cli, *words], capture_output=True, text=True, env=environment).stdout


german, english = told("de_DE", "check", str(demo)), told("en_GB", "check", str(demo))
check("the command line speaks German", "Die Ordnung von Hand braucht 1 Wechsel mehr als die des Planers." in german)
check("the command line speaks English", "The order by hand needs 1 swap more than the planner's own." in english)
check("a language that nobody translated is English", told("fr_FR", "check", str(demo)) == english)
finish(f"{count} texts")
