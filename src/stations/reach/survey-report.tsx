"use client";
import { count } from "../../words/text";
import type { Survey } from "../../core/flow/survey";
import type { SoundingsFile } from "../../core/formats/soundings-text";
import { Refused } from "../../widgets/refused";
import { messageText } from "../../words/messages";
import { figureText, showText, type UnitSystem } from "../../words/quantity";
import { SurveyPicture } from "./survey-picture";

/** A survey before it becomes a reach: its picture, its figures, and what was left out or refused. */
export function SurveyReport({
  survey,
  file,
  system,
  keepOutliers,
  onKeepOutliers,
}: {
  survey: Survey;
  file: SoundingsFile;
  system: UnitSystem;
  keepOutliers: boolean;
  onKeepOutliers: (keep: boolean) => void;
}) {
  return (
    <>
      <SurveyPicture survey={survey} />
      <p className="-mt-2 text-sm text-soft">
        Flow is to the right. Dark is deep. Crosses are outliers. Hatching has no soundings.
      </p>
      <ul className="grid gap-1">
        <li>
          <strong>{figureText(survey.points.length, 0)} soundings</strong> over{" "}
          {showText(survey.length, "distance", system)} by {showText(survey.breadth, "distance", system)};{" "}
          {showText(survey.spacing, "distance", system)} apart (median), {figureText(survey.density, 1)} per{" "}
          {showText(100, "area", system)}.
        </li>
        <li>
          {survey.gaps.share > 0.005
            ? `${figureText(100 * survey.gaps.share, 0)} % of the area has no soundings, so the bed there is a guess.`
            : "No gap is wider than half the river."}
        </li>
        <li>{levelWords(survey, file, system)}</li>
        {survey.outliers > 0 && (
          <li>
            <label className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-5"
                checked={keepOutliers}
                onChange={(event) => onKeepOutliers(event.target.checked)}
              />
              Keep {count(survey.outliers, "outlier")} (they may be boulders)
            </label>
          </li>
        )}
        {file.notes.map((note) => (
          <li key={note.code} className="text-soft">
            {messageText(note, system)}
          </li>
        ))}
      </ul>
      <Refused rejected={file.rejected} lines={file.lines} system={system} />
    </>
  );
}

function levelWords({ levelled }: Survey, { measure }: SoundingsFile, system: UnitSystem): string {
  if (!levelled)
    return measure === "height"
      ? "Heights don’t need a water level."
      : "Not corrected for water level: the gauge has no stage for those times.";
  const without = levelled.without > 0 ? `; ${levelled.without} without a stage were left unchanged` : "";
  return `Corrected to one water level: stage changed by ${showText(levelled.to - levelled.from, "depth", system)} during the survey${without}.`;
}
