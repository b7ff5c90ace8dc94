import type { SetAside } from "../core/formats/archive";
import { messageText } from "./messages";

/** Where a record of an archive stands that is not taken, and why. */
export const setAsideWords = ({ path, line, why }: SetAside): string =>
  `${path}${line === undefined ? "" : `, line ${line}`}: ${messageText(why)}`;
