/**
 * `node scripts/lint/text.mjs`: holds the text that people read to the words page. A private or old-fashioned word, an
 * inverted form or a sentence that is too long is told with its place; exit code 1 when there is one.
 */
import { projectTexts, textsOf } from "./screen-text.mjs";

/** Words in a sentence at most. */
export const MOST_WORDS = 25;

/** What is not said, and what is said instead. */
const RULES = [
  [/\bmade[- ]up\b/i, "demo"],
  [/\bthe book\b|\b(your|own|saved|this) book\b|^book\b/i, "log, or backup"],
  [/\barchives?\b/i, "backup"],
  [/\b(put|take|taken|took|takes) (it )?(in|off|out|right)\b/i, "add, import, remove, delete, edit"],
  [/\banew\b/i, "again, new"],
  [/\b(up|down)-current\b/i, "upstream, downstream"],
  [/\b(is|are|was|be) told\b|\btells? more\b/i, "is shown"],
  [/\bheld against\b|\bhold (it|them|these) against\b/i, "compared with"],
  [/\bas it should be\b/i, "valid"],
  [/\bstands? above\b|\brules? stand\b|\bclock stands?\b|\bstands? for a\b/i, "come first; timer paused"],
  [/\bwhat came\b|\bwhat became of\b/i, "result, outcome"],
  [/\bof which there\b|\bof it cannot\b|\bit wants\b|\bis wanted\b/i, "plain order"],
  [/\bis none (at|here|on)\b|\bwas none\b/i, "plain order"],
  [/\bso (cold|warm|clear|deep|fast) that\b/i, "because"],
  [/\bto be had\b|\bas the model has it\b|\bnothing comes\b/i, "plain words"],
  [/\bmend(ed|s)? (the|a) (file|bed)\b/i, "fix"],
  [/\blift it$|\btake it$|\bleave it$|\bkeep it$|\bput it in\b/i, "a standard verb"],
  [/\bwarmth and breath\b|\bthe glass\b|\bholdings\b/i, "temperature and oxygen, barometer"],
  [/\bminutes from home$/i, "travel times"],
  [/\bsaid to be\b|\bit is said\b/i, "plain words"],
  [/\bhardly to be\b|\bmay be had\b|\bof one's own\b|\bof my own\b/i, "plain words"],
  [/\bgoes again\b|\bone press\b/i, "you can undo"],
  [/\brules? says? so\b/i, "your rules don’t allow it"],
  [/\{\}(more|less|off|of|and|to)\b/, "a space after a value"],
];

/** A sentence ends at a stop, or at the end of a line of a list. */
const sentencesOf = (text) => text.split(/(?<=[.!?…:;])\s+/);
const wordsIn = (sentence) => sentence.split(/\s+/).filter((word) => /[\w{}]/.test(word)).length;

/** The contract of the command line names its file an archive, and writes its fields in braces. */
const ofCommands = (file) => file.startsWith("cli/");
const CONTRACT = /\barchives?\b/gi;

/** What a text says that it should not. */
export function faultsOf(whole, file = "") {
  const text = ofCommands(file) ? whole.replace(CONTRACT, "file").replace(/\{[^{}]*\}/g, "fields") : whole;
  const forms = RULES.filter(([form]) => form.test(text)).map(
    ([form, instead]) => `“${form.exec(text)[0]}”: say ${instead}`,
  );
  const long = sentencesOf(text).find((sentence) => wordsIn(sentence) > MOST_WORDS);
  return long === undefined ? forms : [...forms, `${wordsIn(long)} words in a sentence, ${MOST_WORDS} at most`];
}

/** A sentence that breaks every rule must be found, or nothing else is worth anything. */
const planted = textsOf(
  "planted.tsx",
  'const x = <p title="Take it off the book, as it should be">The clock stands.</p>;',
);
if (planted.length !== 2 || planted.some(({ text }) => faultsOf(text).length === 0)) {
  process.stderr.write("text lint: a planted fault was not found\n");
  process.exit(1);
}

const texts = projectTexts(process.cwd());
let count = 0;
for (const { file, line, text } of texts)
  for (const fault of faultsOf(text, file)) {
    count++;
    process.stdout.write(`${file}:${line}  ${fault}\n    ${text.slice(0, 160)}\n`);
  }
process.stdout.write(`text: ${texts.length} texts, ${count} wrong\n`);
process.exit(count > 0 ? 1 : 0);
