"use client";
import { useState } from "react";
import type { FloorBuild } from "../../../core/progress/on-floor";
import type { UnitSystem } from "../../../core/units";
import { MoreMenu } from "../../kit/menu";
import { Ask } from "../../kit/why";
import { AddDialog, BuildDialog, ByHandDialog, CompareDialog, SwapDialog } from "../dialogs/change-dialogs";
import type { FloorSession } from "./floor-session";
import { PictureForm } from "../dialogs/pictures";
import type { TabletPictures } from "../dialogs/use-pictures";

const DIALOGS = {
  build: { title: "Build on the floor", Inside: BuildDialog },
  hand: { title: "The set-up by hand", Inside: ByHandDialog },
  swap: { title: "Another exercise instead", Inside: SwapDialog },
  add: { title: "One more exercise today", Inside: AddDialog },
  compare: { title: "Compare two cues", Inside: CompareDialog },
} as const;

/** What else can be done with the exercise in hand; none of it while a set runs. */
export function ItemMenu(props: {
  clientId: string;
  session: FloorSession;
  build: FloorBuild;
  pictures: TabletPictures;
  units: UnitSystem;
}) {
  const { clientId, session, build, pictures, units } = props;
  const [open, setOpen] = useState<keyof typeof DIALOGS | null>(null);
  const [isPicturing, setPicturing] = useState(false);
  if (session.tempo.status !== "idle") return null;
  const { item, items, isSkipped, sets } = session;
  const at = items.indexOf(item);
  // more of what hurt, or of what was to be easier today, is no repeat
  const mayRepeat = session.allSetsDone && !session.isStopped && !isSkipped && (build.ok || build.code === "built-before");
  const Opened = open && DIALOGS[open];
  return (
    <>
      <MoreMenu
        label="More for this exercise"
        actions={[
          ...(mayRepeat ? [{ name: "One more set", act: session.oneMore }] : []),
          { name: "Build", act: () => setOpen("build") },
          { name: "Change the set-up by hand", act: () => setOpen("hand") },
          { name: "Another exercise instead", act: () => setOpen("swap") },
          { name: "A picture of a repetition", act: () => setPicturing(true) },
          { name: "Compare two cues", act: () => setOpen("compare") },
          ...(sets.length === 0 && !isSkipped ? [{ name: "Leave it out today", act: () => session.skip(item.itemId) }] : []),
          ...(at > 0 ? [{ name: "Earlier", act: () => session.reorder(-1) }] : []),
          ...(at < items.length - 1 ? [{ name: "Later", act: () => session.reorder(1) }] : []),
          { name: "Add an exercise", act: () => setOpen("add") },
        ]}
      />
      {Opened && (
        <Ask title={Opened.title} isOpen onClose={() => setOpen(null)}>
          <Opened.Inside session={session} build={build} units={units} onDone={() => setOpen(null)} />
        </Ask>
      )}
      <Ask title="A picture of a repetition" isOpen={isPicturing} onClose={() => setPicturing(false)}>
        <PictureForm clientId={clientId} session={session} pictures={pictures} onDone={() => setPicturing(false)} />
      </Ask>
    </>
  );
}
