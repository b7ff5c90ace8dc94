"use client";
import { Component, type ReactNode } from "react";
import { asFault } from "../core/quantity/answer";
import { messageText } from "../words/messages";
import { Button } from "./button";
import { FaultNote } from "./fault-note";

/** What cannot be drawn: the fault in its place, and a way on. */
export function NotShown({
  name,
  error,
  onRetry,
  onSave,
}: {
  name: string;
  error: unknown;
  onRetry: () => void;
  /** Saves the book to a file. */
  onSave: () => void;
}) {
  return (
    <div className="mx-auto grid max-w-2xl gap-3 py-6">
      <FaultNote
        message={`${name} couldn’t be shown. ${messageText(asFault(error))}`}
        todo="Your log is unchanged. Retry, or reload the page."
      />
      <div className="flex flex-wrap gap-3">
        <Button tone="next" onClick={onRetry}>
          Retry
        </Button>
        <Button onClick={() => window.location.reload()}>Reload the page</Button>
        <Button onClick={onSave}>Save a backup</Button>
      </div>
    </div>
  );
}

/** Keeps what cannot be drawn to its own part of the screen. */
export class FaultBoundary extends Component<
  { name: string; onSave: () => void; children: ReactNode },
  { error: unknown }
> {
  override state: { error: unknown } = { error: undefined };

  static getDerivedStateFromError(error: unknown) {
    return { error };
  }

  override render() {
    const { error } = this.state;
    if (error === undefined) return this.props.children;
    const { name, onSave } = this.props;
    return <NotShown name={name} error={error} onRetry={() => this.setState({ error: undefined })} onSave={onSave} />;
  }
}
