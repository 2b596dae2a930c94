#!/usr/bin/env python3
"""Figures of the house, of the checkout that this is run in, or of another that is named.

Prints files past 400 lines, rooms (packages) past 15 files, the largest circle of files that use
each other, methods past 40 lines, the class of the window that most files use, and lines in all.
A file uses another when it imports it, or names it within its package.
"""
import collections
import os
import re
import sys

MODULES = "core sound formats workbench desktop cli benchmarks".split()
LONG_FILE, MANY_FILES, LONG_METHOD = 400, 15, 40
METHOD = re.compile(
    r"^ {4,12}(?!return |new |throw |else |case |.*\brecord )"
    r"(?:(?:public|protected|private|static|final|synchronized|abstract|default) )*"
    r"(?:<[^>]+> )?(?:[\w.]+(?:<[^(]*>)?(?:\[\])* \w+|[A-Z]\w*)\("
)


def java(root, side):
    for module in MODULES:
        for folder, _, names in os.walk(os.path.join(root, module, "src", side, "java")):
            for name in names:
                if name.endswith(".java") and not name.endswith("-info.java"):
                    yield os.path.join(folder, name)


def read(path):
    with open(path, encoding="utf8") as file:
        return file.read()


def bare(text):
    text = re.sub(r"/\*.*?\*/", "", text, flags=re.S)
    text = re.sub(r"//.*", "", text)
    return re.sub(r'"(\\.|[^"\\])*"', '""', text)


def uses(texts):
    package = {p: re.search(r"^package ([\w.]+);", t, re.M).group(1) for p, t in texts.items()}
    full = {package[p] + "." + os.path.basename(p)[:-5]: p for p in texts}
    rooms = collections.defaultdict(dict)
    for name, path in full.items():
        rooms[name.rpartition(".")[0]][name.rpartition(".")[2]] = path
    found = collections.defaultdict(set)
    for path, text in texts.items():
        code = bare(text)
        for name in re.findall(r"\bvocalis(?:\.\w+)+", code):
            while name and name not in full:
                name = name.rpartition(".")[0]
            if name and full[name] != path:
                found[path].add(full[name])
        words = set(re.findall(r"\b[A-Z]\w*", code))
        for name, other in rooms[package[path]].items():
            if other != path and name in words:
                found[path].add(other)
    return found


def circles(files, edges):
    """Strongly connected sets of more than one file (Tarjan 1972)."""
    sys.setrecursionlimit(20000)
    index, low, stack, on, out = {}, {}, [], set(), []

    def go(v):
        index[v] = low[v] = len(index)
        stack.append(v)
        on.add(v)
        for w in edges[v]:
            if w not in index:
                go(w)
                low[v] = min(low[v], low[w])
            elif w in on:
                low[v] = min(low[v], index[w])
        if low[v] == index[v]:
            one = []
            while True:
                w = stack.pop()
                on.discard(w)
                one.append(w)
                if w == v:
                    break
            if len(one) > 1:
                out.append(one)

    for v in files:
        if v not in index:
            go(v)
    return out


def long_methods(text):
    lines = text.split("\n")
    count, i = 0, 0
    while i < len(lines):
        line = lines[i]
        ends = line.rstrip().endswith((";", "{}", "}", "})"))
        if METHOD.match(line) and not ends and "=" not in line.split("(")[0]:
            indent = len(line) - len(line.lstrip())
            j = i
            while j < len(lines) and lines[j] != " " * indent + "}":
                if j > i and lines[j].rstrip().endswith(";") and len(lines[j]) - len(lines[j].lstrip()) <= indent:
                    break
                j += 1
            count += j - i + 1 > LONG_METHOD
        i += 1
    return count


def name(path):
    return os.path.basename(path)[:-5]


def main():
    root = sys.argv[1] if len(sys.argv) > 1 else "."
    texts = {p: read(p) for p in java(root, "main")}
    lines = {p: t.count("\n") for p, t in texts.items()}
    tests = sum(read(p).count("\n") for p in java(root, "test"))
    edges = uses(texts)
    rooms = collections.Counter(os.path.dirname(p).rpartition("/vocalis/")[2] for p in texts)
    rings = circles(list(texts), edges)
    desk = os.sep + "desktop" + os.sep
    users = collections.Counter(q for p in texts if desk in p for q in edges[p] if desk in q)
    long_files = sorted((p for p in texts if lines[p] > LONG_FILE), key=lambda p: -lines[p])
    print(f"files over {LONG_FILE} lines: {len(long_files)}", [f"{name(p)} {lines[p]}" for p in long_files])
    full = [(r, n) for r, n in rooms.most_common() if n > MANY_FILES]
    print(f"rooms over {MANY_FILES} files: {len(full)}", full)
    print("largest circle of files:", max((len(r) for r in rings), default=0))
    print(f"methods over {LONG_METHOD} lines:", sum(long_methods(t) for t in texts.values()))
    doors = re.compile(r"^public (?:interface|final class (\w+) \{(?=.*private \1\(\) \{\}))", re.M | re.S)
    few = [(name(p), n) for p, n in users.most_common() if not doors.search(texts[p])]
    print("most used in desktop:", [(name(p), n) for p, n in users.most_common(4)])
    print("most used in desktop that is no interface and has state:", few[:6])
    total = sum(lines.values())
    print(f"lines: {total} in {len(texts)} files; tests {100 * tests / (tests + total):.1f} per cent")


main()
