"use client";
import { act } from "../state/act";
import { deleteCalculations, savedCalculations } from "../state/saved-calculations";
import { useLiveAnswer } from "../state/live-answer";
import { say } from "../state/notices";
import { Button } from "../widgets/button";
import { calculationsText } from "../words/calculations";

/** What was worked out and is kept, and how to free its space. */
export function SavedCalculations() {
  const saved = useLiveAnswer(savedCalculations, []);
  if (!saved) return null;
  const some = saved.fields + saved.bytes > 0;
  return (
    <section>
      <h3 className="mb-1">Saved calculations</h3>
      <p className="mb-2 text-sm text-soft">{calculationsText(saved)}</p>
      {some && (
        <Button
          onClick={() =>
            act(async () => {
              await deleteCalculations();
              say("Saved calculations deleted. They are worked out again when needed.");
            })
          }
        >
          Delete saved calculations
        </Button>
      )}
    </section>
  );
}
