import { addWords } from "./messages";
import { COMMAND_LINE } from "./messages/command-line";
import { TRACE } from "./messages/trace";

/** What the command line refuses joins the sentences when it runs: no page loads it. */
addWords({ ...COMMAND_LINE, ...TRACE });
