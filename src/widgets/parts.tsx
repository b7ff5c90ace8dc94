"use client";
import { CircleHelp, X } from "lucide-react";
import { Dialog as RadixDialog, Popover, Select as RadixSelect } from "radix-ui";
import type { ButtonHTMLAttributes, InputHTMLAttributes, ReactNode, TextareaHTMLAttributes } from "react";
import { useId } from "react";

/** Shared parts on Radix primitives. */

const TONES = {
  plain: "border border-line bg-paper hover:bg-deep",
  ink: "bg-ink text-paper hover:brightness-90",
  next: "bg-ochre text-paper hover:brightness-90",
} as const;

export function Button({
  tone = "plain",
  className = "",
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { tone?: keyof typeof TONES }) {
  return (
    <button
      type="button"
      {...rest}
      className={`inline-flex min-h-11 items-center justify-center gap-2 rounded-md px-4 font-semibold disabled:cursor-not-allowed disabled:opacity-50 ${TONES[tone]} ${className}`}
    />
  );
}

export function Dialog({
  open,
  onOpenChange,
  title,
  about,
  children,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  about?: string;
  children: ReactNode;
}) {
  return (
    <RadixDialog.Root open={open} onOpenChange={onOpenChange}>
      <RadixDialog.Portal>
        <RadixDialog.Overlay className="fixed inset-0 z-40 bg-ink/50" />
        <RadixDialog.Content className="fixed inset-x-0 bottom-0 z-50 max-h-[92dvh] overflow-y-auto rounded-t-xl border border-line bg-paper p-5 shadow-xl sm:inset-auto sm:top-1/2 sm:left-1/2 sm:w-[min(38rem,92vw)] sm:-translate-x-1/2 sm:-translate-y-1/2 sm:rounded-xl">
          <div className="mb-3 flex items-start gap-4">
            <div className="flex-1">
              <RadixDialog.Title className="text-xl font-semibold">{title}</RadixDialog.Title>
              <RadixDialog.Description className={about ? "mt-1 text-soft" : "sr-only"}>
                {about ?? title}
              </RadixDialog.Description>
            </div>
            <RadixDialog.Close aria-label="Close" className="grid size-11 place-items-center rounded-md hover:bg-deep">
              <X size={20} aria-hidden />
            </RadixDialog.Close>
          </div>
          {children}
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}

export interface Choice {
  value: string;
  label: string;
}

export function Select({
  label,
  value,
  onChange,
  choices,
  hideLabel = false,
  className = "",
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  choices: readonly Choice[];
  hideLabel?: boolean;
  className?: string;
}) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className={hideLabel ? "sr-only" : "mb-1 block text-sm text-soft"}>
        {label}
      </label>
      <RadixSelect.Root value={value} onValueChange={onChange}>
        <RadixSelect.Trigger
          id={id}
          className="flex min-h-11 w-full items-center justify-between gap-2 rounded-md border border-line bg-paper px-3 text-left hover:bg-deep"
        >
          <span className="truncate">
            <RadixSelect.Value />
          </span>
          <RadixSelect.Icon aria-hidden>▾</RadixSelect.Icon>
        </RadixSelect.Trigger>
        <RadixSelect.Portal>
          <RadixSelect.Content
            position="popper"
            sideOffset={4}
            className="z-[60] max-h-72 min-w-(--radix-select-trigger-width) overflow-auto rounded-md border border-line bg-paper p-1 shadow-lg"
          >
            <RadixSelect.Viewport>
              {choices.map((choice) => (
                <RadixSelect.Item
                  key={choice.value}
                  value={choice.value}
                  className="flex min-h-10 cursor-pointer items-center rounded px-3 outline-none data-highlighted:bg-deep data-[state=checked]:font-semibold"
                >
                  <RadixSelect.ItemText>{choice.label}</RadixSelect.ItemText>
                </RadixSelect.Item>
              ))}
            </RadixSelect.Viewport>
          </RadixSelect.Content>
        </RadixSelect.Portal>
      </RadixSelect.Root>
    </div>
  );
}

export function TextField({
  label,
  hint,
  error,
  className = "",
  ...rest
}: InputHTMLAttributes<HTMLInputElement> & { label: string; hint?: string; error?: string }) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        {...rest}
        aria-invalid={Boolean(error)}
        aria-describedby={error || hint ? `${id}-about` : undefined}
        className={`min-h-11 w-full rounded-md border bg-paper px-3 ${error ? "border-2 border-clay" : "border-line"}`}
      />
      <FieldNote id={id} hint={hint} error={error} />
    </div>
  );
}

export function TextArea({
  label,
  hint,
  error,
  className = "",
  ...rest
}: TextareaHTMLAttributes<HTMLTextAreaElement> & { label: string; hint?: string; error?: string }) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <textarea
        id={id}
        rows={3}
        {...rest}
        aria-invalid={Boolean(error)}
        aria-describedby={error || hint ? `${id}-about` : undefined}
        className={`w-full rounded-md border bg-paper p-3 ${error ? "border-2 border-clay" : "border-line"}`}
      />
      <FieldNote id={id} hint={hint} error={error} />
    </div>
  );
}

/** What a field wants, or what is wrong with what it holds. */
function FieldNote({ id, hint, error }: { id: string; hint?: string; error?: string }) {
  if (!error && !hint) return null;
  return (
    <p
      id={`${id}-about`}
      role={error ? "alert" : undefined}
      className={`mt-1 text-sm ${error ? "font-semibold text-clay" : "text-soft"}`}
    >
      {error ?? hint}
    </p>
  );
}

/** A figure with its unit and what it is; where it comes from is one press away. */
export function Figure({
  label,
  figure,
  unit,
  note,
  source,
}: {
  label: string;
  figure: string;
  unit?: string;
  note?: string;
  source?: string;
}) {
  return (
    <div>
      <p className="flex items-center gap-1 text-sm text-soft">
        {label}
        {source && <Source of={label}>{source}</Source>}
      </p>
      <p className="text-2xl font-semibold whitespace-nowrap">
        {figure}
        {unit && <span className="ml-1 text-base font-normal">{unit}</span>}
      </p>
      {note && <p className="text-sm text-soft">{note}</p>}
    </div>
  );
}

/** Where a figure comes from and how sure it is: a small button that tells it. */
export function Source({ of, children }: { of: string; children: ReactNode }) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={`Where “${of}” comes from`}
        className="grid size-6 place-items-center rounded-full text-soft hover:bg-deep hover:text-ink"
      >
        <CircleHelp size={15} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={12}
          className="z-[60] max-w-80 rounded-md border border-line bg-paper p-3 text-base text-ink shadow-lg"
        >
          {children}
          <Popover.Arrow className="fill-(--line)" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** A fault told plainly: what, where, and what to do. */
export function FaultNote({ message, todo, onRetry }: { message: string; todo?: string; onRetry?: () => void }) {
  return (
    <div role="alert" className="rounded-md border-2 border-clay p-3">
      <p className="font-semibold">
        <span aria-hidden>▲ </span>
        {message}
      </p>
      {todo && <p className="mt-1 text-soft">{todo}</p>}
      {onRetry && (
        <button type="button" className="mt-1 min-h-11 underline" onClick={onRetry}>
          Try again
        </button>
      )}
    </div>
  );
}

export function Panel({
  title,
  children,
  className = "",
  aside,
  source,
}: {
  title: string;
  children: ReactNode;
  className?: string;
  aside?: ReactNode;
  source?: string;
}) {
  return (
    <section className={className}>
      <div className="mb-2 flex min-h-8 flex-wrap items-baseline justify-between gap-2">
        <h2 className="flex items-center gap-1 text-lg">
          {title}
          {source && <Source of={title}>{source}</Source>}
        </h2>
        {aside}
      </div>
      {children}
    </section>
  );
}
