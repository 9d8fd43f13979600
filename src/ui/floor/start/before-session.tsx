"use client";
import type { Day } from "../../../core/day";
import type { FloorScreenProps } from "../session/floor-screen";
import { FloorStart } from "./floor-start";
import { StartProgramme } from "./start-programme";
import { StartScreen } from "./start-screen";

type Own = "begin" | "olderThan";
/** Before a session: the programme's, or what Fit keeps; begun in the studio, or on this tablet alone. */
export function BeforeSession(props: {
  floor: Omit<FloorScreenProps, "plan" | "known">;
  asOf: Day;
  programme: Omit<Parameters<typeof StartProgramme>[0], Own> | null;
  kept: Omit<Parameters<typeof StartScreen>[0], Own> | null;
}) {
  const { floor, asOf, programme, kept } = props;
  return (
    <FloorStart floor={floor} asOf={asOf}>
      {(begin, isOlder) => {
        const own = { begin, olderThan: isOlder ? asOf : null };
        return programme ? <StartProgramme {...programme} {...own} /> : kept && <StartScreen {...kept} {...own} />;
      }}
    </FloorStart>
  );
}
