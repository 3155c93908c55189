import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { isDeepStrictEqual } from 'node:util';
import PO from 'pofile';
import ts from 'typescript';
import { ROOT } from './prepare.mjs';

/**
 * All wording of the screens in the catalogues of the other languages: `npm run words` takes over what is new in the
 * source, with nothing said for it yet, and leaves out what is gone. With --check nothing is written: it fails where a
 * catalogue is not complete, where a message lacks one of its values, and where words stand in the source bare.
 */
const UI = join(ROOT, 'src/ui');
/** The command line says its words by the same catalogues. */
const FOLDERS = [UI, join(ROOT, 'src/cli')];
const CATALOGUES = join(UI, 'language');

/** Every message and the files it is said in. */
function gatherMessages() {
  const found = new Map();
  const files = FOLDERS.flatMap((folder) =>
    readdirSync(folder, { recursive: true })
      .filter((one) => /\.tsx?$/.test(one) && !/\.(test|d)\.tsx?$/.test(one))
      .toSorted((a, b) => a.localeCompare(b))
      .map((one) => relative(UI, join(folder, one))),
  );
  for (const file of files) {
    const source = ts.createSourceFile(file, readFileSync(join(UI, file), 'utf8'), ts.ScriptTarget.Latest, true);
    const look = (node) => {
      if (ts.isCallExpression(node) && ts.isIdentifier(node.expression) && node.expression.text === 't') {
        const [said] = node.arguments;
        const messages = said && ts.isConditionalExpression(said) ? [said.whenTrue, said.whenFalse] : [said];
        if (messages.every((one) => one && ts.isStringLiteralLike(one)))
          for (const { text } of messages) found.set(text, [...(found.get(text) ?? []), file]);
        else if (file !== join('language', 'index.ts')) throw new Error(`${file}: a message has to stand in its t( )`);
      }
      ts.forEachChild(node, look);
    };
    look(source);
    for (const text of listBare(source)) {
      flaws += 1;
      console.log(`${file}: “${text}” stands bare`);
    }
  }
  return found;
}

/** Looks like words that somebody reads: two of them, one with a capital, or one beside a value. */
const WORDS = /[A-Za-z’]{2,} [A-Za-z]{2,}|^[A-Z][a-z]+$|[a-z]{2,}…| [a-z]+ …/;
/** Classes, keys of the keyboard, paints and the like. */
const NO_WORDS =
  /[:[]|-\d|flex|grid|px |rounded|text-|border|min-|max-|w-|bg-|outline-|gradient|color-mix|^…+ x …$|xMid|^(Arrow|Page)?(Up|Down|Left|Right|Escape|Enter|Shift|Delete|Backspace|Tab|Home|End)$/;
/** The same in every language: names, and what the reader of lines knows. */
const SAME = new Set(['Yardmist', 'Esc', 'English', 'Deutsch']);

/** Words of a file that stand outside of any message. */
function listBare(source) {
  const bare = [];
  const look = (node) => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isNewExpression(node)) return;
    if (ts.isJsxAttribute(node) && /lass|^d$|^style$|viewBox|transform/.test(node.name.getText(source))) return;
    if (ts.isPropertyAssignment(node)) return look(node.initializer);
    if (ts.isCallExpression(node) && node.expression.getText(source) === 't')
      return node.arguments.slice(1).forEach(look);
    const text = ts.isTemplateExpression(node)
      ? [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('…')
      : ts.isStringLiteralLike(node) || ts.isJsxText(node)
        ? node.text.trim()
        : '';
    if (WORDS.test(text) && !NO_WORDS.test(text) && !SAME.has(text)) bare.push(text);
    ts.forEachChild(node, look);
  };
  look(source);
  return bare;
}

/** The names of a message's values, of those that are counted, and the marks of its links; `{is}` of `one {is} other {are}` is a word. */
function listValues(message) {
  const values = [...message.matchAll(/(?<!\b(?:one|other) )\{(\w+)(?:(, plural)|\})/g)].map(
    ([, name, counted]) => `${name}${counted ?? ''}`,
  );
  values.push(...[...message.matchAll(/<\/?\w+>/g)].map(([mark]) => mark));
  return [...new Set(values)].toSorted((a, b) => a.localeCompare(b));
}

/** What is said among programmers, or in riddles, and not from one sewist to another. */
const UNSAID =
  /\b(lots?|by the books|take it over|ten alike|take the first off|no further|next to nothing|this is only supposed|reserved|leave it for)\b/i;

const edge = (message) => [/^\s*/.exec(message)[0], /\s*$/.exec(message)[0]];

/** What is wrong with what a language says for a message, or null. */
function findFlaw(message, said) {
  if (!said) return 'nothing is said for it';
  if (!isDeepStrictEqual(listValues(message), listValues(said))) return `its values differ: ${said}`;
  return isDeepStrictEqual(edge(message), edge(said)) ? null : `the blanks at its ends differ: “${said}”`;
}

let flaws = 0;
const messages = gatherMessages();
for (const message of messages.keys()) {
  // The names of values are not read.
  const [odd] = UNSAID.exec(message.replaceAll(/\{\w+(, plural)?/g, '')) ?? [];
  if (odd === undefined) continue;
  flaws += 1;
  console.log(`“${message}”: no sewist says “${odd}”`);
}
const isCheck = process.argv.includes('--check');
for (const file of readdirSync(CATALOGUES).filter((one) => one.endsWith('.po'))) {
  const path = join(CATALOGUES, file);
  const catalogue = PO.parse(readFileSync(path, 'utf8'));
  const said = new Map(catalogue.items.map((item) => [item.msgid, item.msgstr[0] ?? '']));
  catalogue.items = [...messages].map(([message, files]) => {
    const item = new PO.Item();
    Object.assign(item, { msgid: message, msgstr: [said.get(message) ?? ''], references: [...new Set(files)] });
    return item;
  });
  const text = `${catalogue.toString().trimEnd()}\n`;
  for (const { msgid, msgstr } of catalogue.items) {
    const flaw = findFlaw(msgid, msgstr[0]);
    if (!flaw) continue;
    flaws += 1;
    console.log(`${file}: “${msgid}”: ${flaw}`);
  }
  if (!isCheck) writeFileSync(path, text);
  else if (text !== readFileSync(path, 'utf8')) {
    flaws += 1;
    console.log(`${file} is not what the source says: npm run words`);
  }
}
console.log(`${messages.size} messages, ${flaws} to mend`);
process.exitCode = flaws > 0 ? 1 : 0;
