import { figureText } from "./quantity";
import { count } from "./text";

/** What is kept of what was worked out. */
export const calculationsText = ({ fields, bytes }: { fields: number; bytes: number }): string =>
  fields + bytes > 0
    ? `${count(fields, "solved flow")}, and ${figureText(bytes / 1e6, 1)} MB of answers. They save time and battery. Your log is not part of them.`
    : "None.";
