"use client";
import { Component, type ReactNode } from "react";
import { asFault } from "../core/quantity/answer";
import { tell } from "../words/messages";
import { Button, FaultNote } from "./parts";

/** What a part of a screen shows when it cannot be drawn: the fault in its place, and a way on. */
export class FaultBoundary extends Component<{ name: string; children: ReactNode }, { error: unknown }> {
  override state: { error: unknown } = { error: undefined };

  static getDerivedStateFromError(error: unknown) {
    return { error };
  }

  override render() {
    if (this.state.error === undefined) return this.props.children;
    return (
      <div className="mx-auto grid max-w-2xl gap-3 py-6">
        <FaultNote
          message={`${this.props.name} could not be shown. ${tell(asFault(this.state.error))}`}
          todo="The book is safe. Try again; the other stations go on."
        />
        <div className="flex flex-wrap gap-3">
          <Button tone="next" onClick={() => this.setState({ error: undefined })}>
            Try again
          </Button>
          <Button onClick={() => window.location.reload()}>Load the page anew</Button>
        </div>
      </div>
    );
  }
}
