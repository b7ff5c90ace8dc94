"use client";
import type { Survey } from "../../core/flow/survey";
import type { SoundingsFile } from "../../core/formats/soundings-text";
import { Refused } from "../../widgets/refused";
import { tell } from "../../words/messages";
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
        Flow runs to the right. Dark is deep; crossed ones stand out from their neighbours; hatched ground is not
        sounded.
      </p>
      <ul className="grid gap-1">
        <li>
          <strong>{figureText(survey.points.length, 0)} soundings</strong> over{" "}
          {showText(survey.length, "distance", system)} by {showText(survey.breadth, "distance", system)};{" "}
          {showText(survey.spacing, "distance", system)} from one to the next by the median,{" "}
          {figureText(survey.density, 1)} on {showText(100, "area", system)}.
        </li>
        <li>
          {survey.gaps.share > 0.005
            ? `${figureText(100 * survey.gaps.share, 0)} % of the ground between them is not sounded: the bed is a guess there.`
            : "No gap wider than half the breadth."}
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
              Keep the {survey.outliers} that stand out (they may be stones)
            </label>
          </li>
        )}
        {file.notes.map((note) => (
          <li key={note.code} className="text-soft">
            {tell(note, system)}
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
      ? "Heights need no water level."
      : "Not brought to one water level: there is no stage at the gauge for their times.";
  const without =
    levelled.without > 0 ? `; ${levelled.without} without a stage at their time are left as they were` : "";
  return `Brought to one water level by the gauge: stage moved by ${showText(levelled.to - levelled.from, "depth", system)} while it was sounded${without}.`;
}
