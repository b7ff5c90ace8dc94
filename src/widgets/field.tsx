"use client";
import { type InputHTMLAttributes, type ReactNode, type TextareaHTMLAttributes, useId } from "react";

interface Told {
  label: string;
  /** What the field wants. */
  hint?: string;
  /** What is wrong with what it holds. */
  error?: string;
}

export const TextField = ({ label, hint, error, className, ...rest }: InputHTMLAttributes<HTMLInputElement> & Told) => (
  <Labelled label={label} hint={hint} error={error} className={className}>
    {(heard, edge) => <input {...rest} {...heard} className={`min-h-11 w-full rounded-md bg-paper px-3 ${edge}`} />}
  </Labelled>
);

export const TextArea = ({
  label,
  hint,
  error,
  className,
  ...rest
}: TextareaHTMLAttributes<HTMLTextAreaElement> & Told) => (
  <Labelled label={label} hint={hint} error={error} className={className}>
    {(heard, edge) => <textarea rows={3} {...rest} {...heard} className={`w-full rounded-md bg-paper p-3 ${edge}`} />}
  </Labelled>
);

/** What a field says of itself to those who hear it. */
interface Heard {
  id: string;
  "aria-invalid": boolean;
  "aria-describedby": string | undefined;
}

/** A field with its label over it, and under it what it wants or what is wrong with what it holds. */
function Labelled({
  label,
  hint,
  error,
  className = "",
  children,
}: Told & { className?: string; children: (heard: Heard, edge: string) => ReactNode }) {
  const id = useId();
  const note = error || hint;
  const heard = { id, "aria-invalid": Boolean(error), "aria-describedby": note ? `${id}-about` : undefined };
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      {children(heard, error ? "border-2 border-clay" : "border border-edge")}
      {note && (
        <p
          id={`${id}-about`}
          role={error ? "alert" : undefined}
          className={`mt-1 text-sm ${error ? "font-semibold text-clay" : "text-soft"}`}
        >
          {note}
        </p>
      )}
    </div>
  );
}
