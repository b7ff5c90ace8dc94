"use client";

/** A fault told plainly: what, where, and what to do. */
export function FaultNote({
  message,
  todo,
  onRetry,
  other,
}: {
  message: string;
  todo?: string;
  onRetry?: () => void;
  /** Another way on. */
  other?: { label: string; run: () => void };
}) {
  const ways = [onRetry && { label: "Retry", run: onRetry }, other];
  return (
    <div role="alert" className="rounded-md border-2 border-clay p-3">
      <p className="font-semibold">
        <span aria-hidden>▲ </span>
        {message}
      </p>
      {todo && <p className="mt-1 text-soft">{todo}</p>}
      {ways.map(
        (way) =>
          way && (
            <button key={way.label} type="button" className="mt-1 mr-4 min-h-11 underline" onClick={way.run}>
              {way.label}
            </button>
          ),
      )}
    </div>
  );
}
