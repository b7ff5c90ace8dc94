"use client";
import type { ReactNode } from "react";
import { Source } from "./figure";

export function Panel({
  id,
  title,
  children,
  className = "",
  aside,
  source,
}: {
  id?: string;
  title: string;
  children: ReactNode;
  className?: string;
  aside?: ReactNode;
  source?: string;
}) {
  return (
    <section id={id} className={className}>
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
