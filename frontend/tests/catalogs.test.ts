import { readdirSync, readFileSync, statSync } from "node:fs";
import { join, relative } from "node:path";
import { FluentBundle, FluentResource } from "@fluent/bundle";
import ts from "typescript";
import { expect, test } from "vitest";

const SOURCES = join(import.meta.dirname, "../src");

function filesIn(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesIn(path) : [path];
  });
}

function messagesOf(locale: string): Map<string, string> {
  const found = new Map<string, string>();
  for (const path of filesIn(join(SOURCES, "text", locale))) {
    for (const [, id, text] of readFileSync(path, "utf8").matchAll(
      /^([a-zA-Z][\w-]*) =((?:.*\n(?:[ ]+.*\n|\n(?=[ ]))*))/gm,
    )) {
      expect(found.has(id ?? ""), `${id} stands twice`).toBe(false);
      found.set(id ?? "", text ?? "");
    }
  }
  return found;
}

const CODE = filesIn(SOURCES)
  .filter((path) => /\.tsx?$/.test(path))
  .map((path) => readFileSync(path, "utf8"))
  .join("\n");
const SOURCE = messagesOf("en-US");

/** Ids named whole, and the beginnings of those that are put together from a code. */
const NAMED = new Set([...CODE.matchAll(/"([a-z]+-[a-z0-9-]+)"/g)].map(([, id]) => id));
const BEGUN = [...CODE.matchAll(/say\(`([a-z-]+)\$\{/g)].map(([, begin]) => begin ?? "");

test("every message that the code asks for is in the catalog", () => {
  const asked = [...CODE.matchAll(/\bsay\(\s*"([^"]+)"/g)].map(([, id]) => id ?? "");
  expect(asked.length).toBeGreaterThan(700);
  expect(asked.filter((id) => !SOURCE.has(id))).toEqual([]);
});

test("no message is in the catalog that nobody asks for", () => {
  const unused = [...SOURCE.keys()].filter(
    (id) => !NAMED.has(id) && !BEGUN.some((begin) => id.startsWith(begin)),
  );
  expect(unused).toEqual([]);
});

test("a message gets the parameters that it names", () => {
  const calls = CODE.matchAll(/\bsay\(\s*"([^"]+)"\s*(?:\)|,\s*\{([\s\S]*?)\}\s*\))/g);
  const wrong: string[] = [];
  for (const [, id, params] of calls) {
    const needs = new Set([...(SOURCE.get(id ?? "") ?? "").matchAll(/\$(\w+)/g)].map(([, n]) => n));
    for (const name of needs) {
      if (!new RegExp(`\\b${name}\\b`).test(params ?? "")) wrong.push(`${id}: ${name}`);
    }
  }
  expect(wrong).toEqual([]);
});

test("a locale overrides only what the source has, with no parameter of its own", () => {
  for (const [id, text] of messagesOf("en-GB")) {
    expect(SOURCE.has(id), id).toBe(true);
    for (const [, name] of text.matchAll(/\$(\w+)/g)) {
      expect(SOURCE.get(id), id).toContain(`$${name}`);
    }
  }
});

test("every catalog is read whole", () => {
  for (const locale of ["en-US", "en-GB"]) {
    const bundle = new FluentBundle(locale);
    for (const path of filesIn(join(SOURCES, "text", locale))) {
      expect(bundle.addResource(new FluentResource(readFileSync(path, "utf8"))), path).toEqual([]);
    }
    for (const id of messagesOf(locale).keys()) expect(bundle.hasMessage(id), id).toBe(true);
  }
});

/** Attributes that a person reads or hears; components name theirs the same. */
const READ = new Set(["aria-label", "aria-description", "alt", "label", "placeholder", "title"]);
const WORD = /[A-Za-z]{2}/;

function wordsIn(path: string, text: string): string[] {
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const found: string[] = [];
  const visit = (node: ts.Node) => {
    if (ts.isJsxText(node) && WORD.test(node.text)) found.push(node.text.trim());
    if (
      ts.isJsxAttribute(node) &&
      READ.has(node.name.getText()) &&
      node.initializer &&
      ts.isStringLiteral(node.initializer) &&
      WORD.test(node.initializer.text)
    ) {
      found.push(node.initializer.text);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

test("a word written into a page is found", () => {
  const page =
    '<main><p aria-label="too late" id="x">Hot now</p><b title={say("a-b")}>·</b></main>';
  expect(wordsIn("page.tsx", page)).toEqual(["too late", "Hot now"]);
});

test("no word stands in a page itself: all are in the catalog", () => {
  const found = filesIn(SOURCES)
    .filter((path) => path.endsWith(".tsx"))
    .flatMap((path) =>
      wordsIn(path, readFileSync(path, "utf8")).map(
        (word) => `${relative(SOURCES, path)}: ${word}`,
      ),
    );
  expect(found).toEqual([]);
});
