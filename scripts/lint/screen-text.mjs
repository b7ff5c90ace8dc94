/** The text that people read, found in the source: JSX text, labels, and sentences in quotes or templates. */
import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import ts from "typescript";

/** Where the text of screens, messages and the command line is. */
const FOLDERS = ["src/words", "src/stations", "src/widgets", "src/state", "src/demo", "app", "cli"];

/** JSX attributes and properties whose value is never read by anyone. */
const UNREAD = new Set(
  "className class href src id key name type role d transform points viewBox style htmlFor rel method target mode value accept autoComplete inputMode fill stroke schema kind code tone dataTestid".split(
    " ",
  ),
);

const sources = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sources(path);
    return /\.tsx?$|\.mjs$/.test(entry.name) && !/\.test\.|\.d\.ts$/.test(entry.name) ? [path] : [];
  });

/** A text in quotes is read by someone when it has a space between words, or begins with a capital. */
const isProse = (text) => /[A-Za-z’]{2,}[,.;:?!”)]? +[(“]?[A-Za-z{0-9]/.test(text) || /^[A-Z][a-z]+[.…]?$/.test(text);

const SKIPPED_CALLS = new Set([
  "import",
  "require",
  "where",
  "InputError",
  "Error",
  "message",
  "querySelector",
  "split",
]);

function isSkipped(node) {
  const { parent } = node;
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isLiteralTypeNode(parent)) return true;
  if (ts.isJsxAttribute(parent)) return UNREAD.has(parent.name.getText());
  if (ts.isPropertyAssignment(parent) && parent.name === node) return true;
  for (let up = parent; up; up = up.parent) {
    if (ts.isJsxAttribute(up) && UNREAD.has(up.name.getText())) return true;
    if (ts.isCallExpression(up) || ts.isNewExpression(up)) {
      const name = up.expression.getText().split(".").at(-1);
      return SKIPPED_CALLS.has(name) && up.arguments?.includes(node);
    }
    if (ts.isJsxElement(up) || ts.isStatement(up)) break;
  }
  return false;
}

const plain = (text) => text.replace(/\s+/g, " ").trim();

/**
 * The texts of a source file.
 * @param {string} file where it is told to be
 * @param {string} code its text
 * @returns {{ file: string, line: number, text: string }[]} values in a sentence stand as {}
 */
export function textsOf(file, code) {
  const source = ts.createSourceFile(
    file,
    code,
    ts.ScriptTarget.Latest,
    true,
    file.endsWith(".tsx") ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found = [];
  const add = (node, text) => {
    if (text.length > 0)
      found.push({ file, line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1, text });
  };
  const visit = (node) => {
    if (ts.isJsxText(node)) add(node, /[A-Za-z]/.test(node.text) ? plain(node.text) : "");
    else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) {
      if (!isSkipped(node) && isProse(node.text)) add(node, plain(node.text));
    } else if (ts.isTemplateExpression(node) && !isSkipped(node)) {
      const text = [node.head.text, ...node.templateSpans.map((span) => `{}${span.literal.text}`)].join("");
      if (isProse(text)) add(node, plain(text));
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** All texts of the project. */
export const projectTexts = (root) =>
  FOLDERS.flatMap((folder) => sources(join(root, folder))).flatMap((path) =>
    textsOf(relative(root, path), readFileSync(path, "utf8")),
  );

if (process.argv[1] === import.meta.filename)
  for (const { file, line, text } of projectTexts(process.cwd())) process.stdout.write(`${file}:${line}\t${text}\n`);
