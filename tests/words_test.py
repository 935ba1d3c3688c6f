"""Every code that the core says has its sentence, and no sentence is left without its code."""
import pathlib
import re
import sys

src = pathlib.Path(sys.argv[1]) / "src"
table = dict(re.findall(r'\{"([a-z0-9/-]+)",\s*((?:"(?:[^"\\]|\\.)*"\s*)+)\}', "".join(p.read_text() for p in sorted((src / "words").glob("english_*.cpp")))))
core = "\n".join(p.read_text() for room in ("core", "render", "device", "cli") for p in sorted((src / room).rglob("*.[ch]pp")))
strings = set(re.findall(r'"([a-z0-9]+(?:[/-][a-z0-9]+)*)"', core))
pairs = re.findall(r'\{"([a-z0-9/-]+)",\s*"', "".join(p.read_text() for p in sorted((src / "words").glob("english_*.cpp"))))
faults = [f"{code}: there are two sentences of it" for code in set(pairs) if pairs.count(code) > 1]
faults += [f"{code}: nothing in the core says it" for code in table
          if code != "note" and code not in strings and not (code.split("/")[0] in strings and code.split("/")[1] in strings)]
# Findings, notes, fixes and troubles as the code writes them.
said = set(re.findall(r'\badd\("([a-z-]+)", Severity', core)) | set(re.findall(r'\bnote\("([a-z-]+)", Severity', core))
said |= set(re.findall(r'\bsay\("([a-z-]+)"', core)) | set(re.findall(r'Finding f?\{"([a-z-]+)"', core))
said |= set(re.findall(r'\{"(fix-[a-z-]+)"', core)) | set(re.findall(r'GeometryFailure\("([a-z/-]+)"\)', core))
said |= set(re.findall(r'\b(?:fail|refuse)\(ErrorKind::\w+,\s*\{"([a-z0-9-]+)"', core)) | set(re.findall(r'\{\{?ErrorKind::\w+,\s*\{"([a-z0-9-]+)"', core))
said |= set(re.findall(r'\bbad\((?:\w+, |"[a-z_]+", )?\{"([a-z0-9-]+)"', core)) | set(re.findall(r'\b(?:wrong|bad|broken)\((?:key, |"\w+", )?"([a-z0-9]+-[a-z0-9-]+)"', core))
said |= set(re.findall(r'throw BadField\{.*?, \{"([a-z0-9-]+)"', core)) | set(re.findall(r'\bSaid\{"([a-z0-9-]+)"', core)) | set(re.findall(r'\bfail_run\(\{"([a-z0-9-]+)"', core))
said |= set(re.findall(r'\b(?:refuse\(\{|say\(|phrase\(|positional\()"([a-z0-9-]+(?:/[a-z0-9-]+)?)"', core))
said |= set(re.findall(r'trouble = \{\{"([a-z-]+)"', core)) | set(re.findall(r'trouble\.push_back\(\{"([a-z-]+)"', core))
faults += [f"{code}: said in the core, without a sentence" for code in sorted(said) if code not in table]
for code, text in table.items():
    if text.count("{") != text.count("}") or text.count("[") != text.count("]"):
        faults.append(f"{code}: brackets do not match")
    for slot in re.findall(r"\{([^}]*)\}", text):
        if not re.fullmatch(r"\*roles|[a-z0-9-]+(\|(mm\d|area\d|\d|role|step|place|n:[^:]+:[^:]+)|\?[^:]+:[^:]+)?", slot.replace('" "', "").replace('"\n     "', "")):
            faults.append(f"{code}: {{{slot}}} is not understood")
print("\n".join(faults) or f"{len(table)} sentences, {len(said)} codes")
sys.exit(1 if faults or len(said) < 60 else 0)
