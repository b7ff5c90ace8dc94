/** What goes into a message: plain data, or another message. */
export type MessageValue =
  string | number | boolean | null | undefined | Message | readonly (string | number | boolean | Message)[];
export type MessageValues = Readonly<Record<string, MessageValue>>;

/** Something to be said, as data: its code and what goes into it, SI. The words floor makes the sentence. */
export interface Message {
  code: string;
  values: MessageValues;
}

export const message = (code: string, values: MessageValues = {}): Message => ({ code, values });
