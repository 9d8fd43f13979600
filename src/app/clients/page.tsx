import { byNeed, isMeant } from "../../core/studio/needs";
import { readStudio } from "../../data/orm";
import { listClients } from "../../data/repos/client.repo";
import { cushionOf } from "../../data/repos/studio.repo";
import { requireSignedIn } from "../../server/session";
import { ErasedReceipt } from "../../ui/clients/erased-receipt";
import { ClientList } from "../../ui/clients/client-list";
import { Header } from "../../ui/shell/header";

/** So many lines go to a tablet; of a larger studio those who need an eye first, and whoever is looked for. */
const MOST_SENT = 200;

export default async function ClientsPage({ searchParams }: { searchParams: Promise<{ erased?: string; search?: string }> }) {
  const { erased: erasedText, search = "" } = await searchParams;
  const erased = Number(erasedText);
  const { scope, owner, studioName, trainerName, unitSystem, today } = await requireSignedIn();
  const [lines, cushionM] = await readStudio(scope.studioId, async (em) => [
    await listClients(scope, em, today),
    await cushionOf(scope, em),
  ]);
  const found = byNeed(
    lines.filter((line) => isMeant(line, search)),
    today,
  ).map(({ line }) => line);
  const sent = found.slice(0, MOST_SENT);
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      {Number.isInteger(erased) && erased > 0 && (
        <ErasedReceipt entryCount={erased} studioName={studioName} by={trainerName} today={today} />
      )}
      <ClientList
        key={search}
        clients={sent}
        hiddenCount={found.length - sent.length}
        foundBy={search}
        studioName={studioName}
        cushionM={cushionM}
        today={today}
        units={unitSystem}
      />
    </>
  );
}
