import { answerByRules, type RulesRequest } from "../src/core/book/local-rules";
import { ruleWords } from "../src/words/rules";
import { only } from "./arguments";
import type { Command } from "./command";
import { requestAsked } from "./request";

export const rules: Command = {
  usage: "JSON",
  about: `Keep or release by the rules that were entered: {rules[]{species, open?{from,to}, minLength?, maxLength?, slot?{from,to},
bag?, clippedOnly?}, fish{species, length (m or null), fin: whole|clipped|partial}, kept, at}. Days are MM-DD of any year, or
YYYY-MM-DD; a slot protects the fish within it; lengths in m.
Output: answer: keep|release|no-rule, rule: the part that decided or null, index of the rule, words.`,
  options: {},
  run: (args) => {
    const asked = requestAsked(only(args, "rules and a fish")) as RulesRequest;
    const answer = answerByRules(asked);
    return { ...answer, words: ruleWords(answer, asked.rules, asked.fish.length !== null, "metric") };
  },
};
