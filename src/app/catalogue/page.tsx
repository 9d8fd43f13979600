import type { Metadata } from "next";
import { Suspense } from "react";
import { bodyFromMeasure } from "../../core/body/body";
import { asVariation } from "../../core/catalogue/own";
import { DEFAULT_POSTURE } from "../../core/mechanics/posture";
import { readStudio } from "../../data/orm";
import { listOwnRows } from "../../data/repos/studio.repo";
import { requireSignedIn } from "../../server/session";
import { CatalogueScreen } from "../../ui/catalogue/catalogue-screen";
import { Header } from "../../ui/shell/header";

export const metadata: Metadata = { title: "Catalogue" };

/** Whom a row is drawn on where no client is in hand. */
const MIDDLING = {
  body: bodyFromMeasure({ heightM: 1.7, massKg: 70, sex: "female" }),
  posture: DEFAULT_POSTURE,
  leadSide: "right",
} as const;

export default async function Catalogue() {
  const { unitSystem, owner, scope } = await requireSignedIn();
  const rows = await readStudio(scope.studioId, (em) => listOwnRows(scope, em));
  const own = rows.filter(({ isRetired }) => !isRetired).map(asVariation);
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <Suspense>
        <CatalogueScreen subject={MIDDLING} own={own} units={unitSystem} />
      </Suspense>
    </>
  );
}
