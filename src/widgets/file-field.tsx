"use client";
import { useId } from "react";

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
        className="block min-h-11 w-full rounded-md border border-line p-2 file:mr-3 file:rounded file:border-0 file:bg-deep file:px-3 file:py-1"
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
