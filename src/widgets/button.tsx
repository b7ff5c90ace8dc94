"use client";
import type { ButtonHTMLAttributes } from "react";

const TONES = {
  plain: "border border-edge bg-paper hover:bg-deep",
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
