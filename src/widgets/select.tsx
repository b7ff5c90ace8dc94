"use client";
import * as RadixSelect from "radix-ui/select";
import { useId } from "react";
import { lastInput } from "./last-input";

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
  placeholder,
  className = "",
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  choices: readonly Choice[];
  hideLabel?: boolean;
  /** Shown while nothing is chosen (an empty value). */
  placeholder?: string;
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
          className="flex min-h-11 w-full items-center justify-between gap-2 rounded-md border border-edge bg-paper px-3 text-left hover:bg-deep"
        >
          <span className="truncate">
            <RadixSelect.Value placeholder={placeholder} />
          </span>
          <RadixSelect.Icon aria-hidden>▾</RadixSelect.Icon>
        </RadixSelect.Trigger>
        <RadixSelect.Portal>
          <RadixSelect.Content
            position="popper"
            sideOffset={4}
            // After a press the list lets go of the keys; by keyboard the focus stays where it was.
            onCloseAutoFocus={(event) => lastInput() === "pointer" && event.preventDefault()}
            className="z-[60] max-h-72 min-w-(--radix-select-trigger-width) overflow-auto rounded-md border border-line bg-paper p-1 shadow-lg"
          >
            <RadixSelect.Viewport>
              {choices.map((choice) => (
                <RadixSelect.Item
                  key={choice.value}
                  value={choice.value}
                  className="flex min-h-11 cursor-pointer items-center rounded px-3 outline-none data-highlighted:bg-deep data-[state=checked]:font-semibold"
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
