import type { Metadata } from "next";
import { v4 as newUuid } from "uuid";
import { variationByCode } from "../../../core/catalogue/catalogue";
import { ownFrom } from "../../../core/catalogue/own";
import { readStudio } from "../../../data/orm";
import { listOwnRows } from "../../../data/repos/studio.repo";
import { requireSignedIn } from "../../../server/session";
import { OwnEditor } from "../../../ui/catalogue/own-editor";
import { Header } from "../../../ui/shell/header";
import { MessageScreen } from "../../../ui/shell/message-screen";

export const metadata: Metadata = { title: "A variation of our own" };

interface Props {
  searchParams: Promise<{ from?: string; row?: string }>;
}

/** A row of the studio's own: a new one from a row of the catalogue, or one that is there. */
export default async function OwnRowPage({ searchParams }: Props) {
  const [{ from, row }, { scope, unitSystem, owner }] = [await searchParams, await requireSignedIn()];
  const rows = await readStudio(scope.studioId, (em) => listOwnRows(scope, em));
  const base = variationByCode(from ?? "");
  const first = rows.find(({ id }) => id === row) ?? (base ? ownFrom(base, `own-${newUuid()}`) : null);
  if (!first)
    return (
      <MessageScreen title="Made from which row?">
        <p>Open a row of the catalogue and choose “make our own from it”.</p>
      </MessageScreen>
    );
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <OwnEditor key={first.id} first={first} others={rows} units={unitSystem} />
    </>
  );
}
