"use client";
import { type ReactNode, useId, useRef } from "react";
import { Button } from "./button";

/** A field to choose a file, or several. */
export function FileField({
  label,
  accept,
  multiple = false,
  disabled,
  onFiles,
}: {
  label: string;
  accept: string;
  multiple?: boolean;
  disabled?: boolean;
  onFiles: (files: readonly File[]) => void;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        type="file"
        multiple={multiple}
        accept={accept}
        disabled={disabled}
        className="block min-h-11 w-full rounded-md border border-edge p-2 file:mr-3 file:rounded file:border-0 file:bg-deep file:px-3 file:py-1"
        onChange={(event) => {
          const chosen = [...(event.target.files ?? [])];
          // The same file, mended, can be chosen again.
          event.target.value = "";
          if (chosen.length) onFiles(chosen);
        }}
      />
    </div>
  );
}

/** A button that asks for one file. */
export function PickFile({
  label,
  accept,
  onFile,
  children,
}: {
  /** Name of the file's own field, for those who do not see the button. */
  label: string;
  accept: string;
  onFile: (file: File) => void;
  children: ReactNode;
}) {
  const picker = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button onClick={() => picker.current?.click()}>{children}</Button>
      <input
        ref={picker}
        type="file"
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = "";
          if (file) onFile(file);
        }}
      />
    </>
  );
}
