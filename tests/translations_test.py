"""Every text of the window and of the core has its translation, with the same figures in it: lupdate, which is not ours,
gathers the texts anew. The command line speaks the language of the locale."""
import json
import os
import pathlib
import re
import subprocess
import sys
import tempfile
import xml.etree.ElementTree as tree

from cli_run import check, cli, finish, root

root, cli = root.resolve(), str(pathlib.Path(cli).resolve())

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
place = tempfile.TemporaryDirectory()
data = place.name


def said(language, *words):
    environment = {**os.environ, "LANGUAGE": language, "LANG": f"{language}.UTF-8", "LC_ALL": "", "XDG_DATA_HOME": data}
    done = subprocess.run([cli, *map(str, words)], capture_output=True, text=True, env=environment, cwd=data)
    return done.stdout + done.stderr


german, english = said("de_DE", "check", str(demo)), said("en_GB", "check", str(demo))
check("the command line speaks German", "Die Ordnung von Hand braucht 1 Wechsel mehr als die des Planers." in german)
check("the command line speaks English", "The order by hand needs 1 swap more than the planner's own." in english)
check("a language that nobody translated is English", said("fr_FR", "check", str(demo)) == english)

# Nothing that the command line says in German has a piece of an English sentence in it: of every command what comes of
# it, what it lacks, and how it is used.
pieces = set()
for message in tree.parse(root / "translations/dot-lane_de.ts").getroot().iterfind("context[name='core']/message"):
    source, german = message.find("source").text, message.find("translation").text or ""
    literal = lambda text: re.split(r"\{[^}]*\}|[\[\]]", text)
    if source != german:
        pieces |= {piece.strip() for piece in literal(source) if len(re.findall("[A-Za-z]+", piece)) > 1} - {piece.strip() for piece in literal(german)}
pieces -= {thing["name"] for kind in ("tools", "stocks") for thing in json.loads(demo.read_text())[kind]}  # names are as they are


def in_german(*words):
    text = re.sub("--[a-z-]+", "", " ".join(said("de_DE", *words).split()))
    english = sorted(piece for piece in pieces if piece in text)
    check(f"{words} says {english[:3]} in German: {text[:200]}", text and not english)
    check(f"{words} says a code: {text[:200]}", not re.search(r"(^|\s)[a-z]+(-[a-z]+)*/(\s|$)", text))
    return text


uses = json.loads(said("en_GB", "help", "--json"))
commands = sorted({use["use"].split()[0] for use in uses if not use["use"].startswith("-")} - {"words"})
check("every command is known", len(commands) > 30)
for command in commands:
    in_german("help", command)
    in_german(command, "--no-such-option")
in_german("help", "shape")
in_german("sail")
in_german()
out, stencil, heron, fabric = (pathlib.Path(data) / "out", *(root / f"demo/{n}.dotlane" for n in ("fern-stencil", "wading-heron", "fish-pennant")))
art = root / "tests/data/svg/12_fill_rules.svg"
exercise = out.with_suffix(".dotlane")
season = out.with_suffix(".jsonl")
season.write_text("".join(json.dumps({
    "job": f"j{n}", "begun": f"2026-05-0{1 + n}T10:00:00", "project": "Fair", "outcome": outcome, "planned_s": 60, "real_s": 75, "machine": "Harbour bench cutter",
    "rehearsed": n == 1, "test_cut": n == 2, "passes": [{"pass": 1, "role": "cut", "tool": "fine-blade", "tool_name": "Fine blade", "stock": "cover-65", "stock_name": "Cover",
                                                        "thickness_mm": 0.3, "force_gf": 120, "depth": 3, "speed_mm_s": 50, "planned_s": 10, "real_s": 12, "metres": 1.5, "came_out": came}],
}) + "\n" for n, (outcome, came) in enumerate([("done", ""), ("failed", "good"), ("cancelled", "weak"), ("done", "strong"), ("done", "torn"), ("done", "skipped")])))
in_german("log", "import", season)
check("all runs are listed", len(said("de_DE", "log", "list").splitlines()) == 6)
for words in [("log", "list"), ("log", "show", 1), ("log", "show", 3), ("log", "suggest", "--stock", "cover-65", "--tool", "fine-blade", "--role", "cut"), ("inspect", art), ("parts", demo), ("plan", demo), ("check", demo), ("tools", demo), ("stocks", demo), ("fonts",), ("fonts", "Lobster Two Bold Italic"),
              ("sheets", heron), ("measure", demo, "--piece", 2, "--to", 1, "--thinnest"), ("fall-outs", stencil), ("fall-outs", demo),
              ("plates", root / "demo/painted-lantern.dotlane", "-o", out.with_suffix(".dotlane")), ("quantity", fabric, "--bolt", "1100mm", "--web", "450mm"),
              ("fit", heron), ("near-stocks", heron), ("near-stocks", heron, "--within", 90), ("cost", heron), ("cost", demo, "--copies", 2, "--seconds", 0.1),
              ("shelf", "list", heron), ("shelf", "list", demo), ("dry-run", demo), ("dry-run", demo, "--fault", "link@30%"), ("calibrate",),
              ("calibrate", "scale", demo), ("exercise", "list"), ("log", "list"), ("log", "check"), ("log", "wear", demo), ("log", "pace", demo), ("projects",),
              ("projects", "--in", root / "demo", "lantern"), ("import", art, "-o", out.with_suffix(".dotlane")), ("shape", "trim", art, "-o", out.with_suffix(".svg")),
              ("shape", "text", "--text", "Hafen", "-o", out.with_suffix(".svg")), ("shape", "fill", art, "-o", out.with_suffix(".svg")),
              ("shape", "bridges", art, "-o", out.with_suffix(".svg")), ("pack", art, "--sheet", "100x100mm", "--seconds", 0.1, "-o", out.with_suffix(".svg")),
              ("split", art, "--sheet", "20x20mm", "-o", out.with_suffix(".svg")), ("split", heron, "-o", out.with_suffix(".dotlane")), ("order", art),
              ("guide", demo, "-o", out.with_suffix(".pdf")), ("guide", demo, "--poster", "-o", out.with_suffix(".pdf")), ("sheet", demo, "-o", out.with_suffix(".pdf")),
              # and what is refused
              ("import", art), ("import", art, "-o", exercise, "--role", "red"), ("import", art, "-o", exercise, "--role", "#c04000=cut:saw"), ("import", art, "-o", exercise, "--stock", "slate"),
              ("export", demo, "-o", "job.svg", "--sheet", 9), ("export", demo, "-o", "job.svg", "--pass", 99), ("export", demo, "-o", "job.svg", "--per-mm", 900), ("print", demo, "-o", "p.pdf"),
              ("sheet", demo, "-o", "sheet.txt"), ("guide", demo, "--poster", "-o", "poster.svg"), ("guide", demo, "-o", "g.pdf", "--paper", "2x2mm"),
              ("measure", demo, "--piece", 99), ("measure", demo, "--piece", 1, "--line", "none"), ("measure", demo), ("scraps", art), ("scraps", art, "--corners", "1 2 3"),
              ("quantity", demo), ("quantity", demo, "--bolt", "wide"), ("quantity", demo, "--bolt", "1m", "--shrinks", 90), ("plates", demo, "-o", exercise, "--pieces", "x"),
              ("sheets", demo, "--turns", "often"), ("sheets", demo, "--gap", "wide"), ("sheets", demo, "--seed", "x"), ("pack", art, "-o", "p.svg"), ("pack", art, "-o", "p.svg", "--sheet", "big"),
              ("split", art, "-o", "s.svg", "--sheet", "9x9mm", "--seam", "glue"), ("split", heron, "-o", exercise, "--sheet", "9x9mm"), ("order", art, "--start", "here"), ("order", art, "--seconds", -1),
              ("dry-run", demo, "--physics", "some"), ("dry-run", demo, "--fault", "fog"), ("dry-run", demo, "--resume", data), ("calibrate", "tide"), ("calibrate", "scale", demo, "--read", "up"),
              ("calibrate", "scale", demo, "--read", "up=long", "-o", exercise), ("calibrate", "scale", demo, "--read", "deep=1", "-o", exercise), ("exercise", "check", "sailing", demo), ("exercise", "open"),
              ("shelf", "add", demo, "-o", exercise, "--stock", "slate"), ("shelf", "add", demo, "-o", exercise, "--stock", "cloud-card"), ("log", "show"), ("log", "show", "x"), ("log", "show", 99), ("log", "say", 99, "--came-out", "odd"),
              ("log", "suggest", "--stock", "cloud-card"), ("log", "wear", "--new", "fine-blade"), ("log", "import", "none.csv"), ("bring", demo, "--from", heron, "--piece", "Antler", "-o", exercise), ("bring", demo),
              ("projects", "--in", "none"), ("thumbnail", demo, "-o", "t.png", "--size", 9), ("shape", "knot"), ("shape", "offset", art, "--by", "wide", "-o", "o.svg"), ("shape", "offset", art, "-o", "o.txt"),
              ("shape", "text", "--text", "Hafen", "--feature", "loud", "-o", "t.svg"), ("shape", "text", "--text", "Hafen", "--arc", "0", "-o", "t.svg"), ("shape", "text", "--text", "Hafen", "--width", "1km", "-o", "t.svg"),
              ("shape", "text"), ("shape", "fill", art, "--tip", "9m", "-o", "f.svg"), ("shape", "join", art, "--with", art, "-o", "j.svg"), ("inspect", "none.svg"), ("inspect",), ("inspect", art, "--page")]:
    in_german(*words)
finish(f"{count} texts, {len(pieces)} pieces of English looked for")
