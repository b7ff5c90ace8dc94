"use client";
import { useState } from "react";
import { TextField } from "./field";

/**
 * A field whose value is kept when it is left or Enter is pressed. What is being typed is never replaced by what comes
 * from elsewhere; Escape gives it up.
 */
export function CommitField({
  shown,
  read,
  onKeep,
  ...rest
}: {
  label: string;
  hint?: string;
  className?: string;
  maxLength?: number;
  /** What is kept now, as text. */
  shown: string;
  /** From text to a value, or what is wrong with it. */
  read: (text: string) => { ok: true; value: unknown } | { ok: false; fault: string };
  onKeep: (value: never) => void;
}) {
  const [text, setText] = useState<string | undefined>();
  const [fault, setFault] = useState<string | undefined>();
  const drop = () => {
    setText(undefined);
    setFault(undefined);
  };
  const keep = () => {
    if (text === undefined || text === shown) return drop();
    const found = read(text);
    if (!found.ok) return setFault(found.fault);
    drop();
    onKeep(found.value as never);
  };
  return (
    <TextField
      {...rest}
      value={text ?? shown}
      error={fault}
      onChange={(event) => {
        setText(event.target.value);
        setFault(undefined);
      }}
      onBlur={keep}
      onKeyDown={(event) => {
        if (event.key === "Enter") keep();
        if (event.key === "Escape" && text !== undefined) {
          event.stopPropagation();
          drop();
        }
      }}
    />
  );
}
