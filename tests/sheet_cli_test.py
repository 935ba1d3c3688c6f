"""The job sheet: what a helper would need is on it, and its sheets are true to scale, as poppler reads them."""
import json
import pathlib
import re
import subprocess
import tempfile

from cli_run import check, cli, finish, report, root, run

folder = pathlib.Path(tempfile.mkdtemp())
project = root / "demo/lighthouse-card.dotlane"
pdf, html = folder / "sheet.pdf", folder / "sheet.html"
pages = report("sheet", project, "-o", pdf)["pages"]
info = subprocess.run(["pdfinfo", "-f", "1", "-l", str(pages), str(pdf)], capture_output=True, text=True).stdout
check("as many pages as were said", f"Pages:           {pages}" in info)
text = subprocess.run(["pdftotext", "-layout", str(pdf), "-"], capture_output=True, text=True).stdout
plan = report("plan", project)
for word in ["Lighthouse card", "Job sheet", "Cautions", "Stock", "Passes", "What hands do", "Before the start",
             "Blades and swarf cut skin", "Leave the mat where it is", "Scribble on scrap", "50 mm"]:
    check(f"the sheet says {word}", word in text)
for number in range(1, len(plan["passes"]) + 1):
    check(f"pass {number} is in the table", re.search(rf"^\s*{number}\s+\d+\s+\w+", text, re.M))
for number in range(1, plan["pauses"] + 1):
    check(f"pause {number} has its card", f"{number} of {plan['pauses']}, before pass" in text)
# The last pages are the sheets, each as large as the sheet and 10 mm around it.
sizes = [tuple(float(n) / 72 * 25.4 for n in m) for m in
         re.findall(r"Page\s+\d+ size:\s+([\d.]+) x ([\d.]+) pts", info)]
sheets = json.loads(project.read_text())["sheets"]
check("a page for each sheet", len(sizes) >= len(sheets) + 1)
for sheet, size in zip(sheets, sizes[-len(sheets):]):
    want = sheet["area_mm"][2:]
    check(f"sheet page {size} for {want}", all(abs(a - b - 20) < 0.4 for a, b in zip(size, want)))
run("sheet", project, "-o", html)
page = html.read_text()
check("HTML has its pictures with it", page.count("data:image/png;base64,") == len(sheets))
check("HTML gives the true size", re.search(r"width:\d+\.\d\dmm", page))
check("HTML loads nothing", "http" not in page)
check("ends that are none", "job sheet is written" in run("sheet", project, "-o", folder / "sheet.txt", expect=2).stderr)
finish(f"{pages} pages")
