import { readStudio } from "../../data/orm";
import { listClients } from "../../data/repos/client.repo";
import { cushionOf } from "../../data/repos/studio.repo";
import { requireSignedIn } from "../../server/session";
import { ErasedReceipt } from "../../ui/clients/erased-receipt";
import { ClientList } from "../../ui/clients/client-list";
import { Header } from "../../ui/shell/header";

export default async function ClientsPage({ searchParams }: { searchParams: Promise<{ erased?: string }> }) {
  const erased = Number((await searchParams).erased);
  const { scope, owner, studioName, trainerName, unitSystem, today } = await requireSignedIn();
  const [clients, cushionM] = await readStudio(scope.studioId, async (em) => [
    await listClients(scope, em, today),
    await cushionOf(scope, em),
  ]);
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      {Number.isInteger(erased) && erased > 0 && (
        <ErasedReceipt entryCount={erased} studioName={studioName} by={trainerName} today={today} />
      )}
      <ClientList clients={clients} studioName={studioName} cushionM={cushionM} today={today} units={unitSystem} />
    </>
  );
}
