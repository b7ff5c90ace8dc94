"use client";

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
