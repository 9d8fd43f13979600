import { readStudio } from "../../data/orm";
import { listClients } from "../../data/repos/client.repo";
import { cushionOf } from "../../data/repos/studio.repo";
import { requireSignedIn } from "../../server/session";
import { ClientList } from "../../ui/clients/client-list";
import { Header } from "../../ui/shell/header";

export default async function ClientsPage() {
  const { scope, owner, studioName, unitSystem, today } = await requireSignedIn();
  const [clients, cushionM] = await readStudio(scope.studioId, async (em) => [
    await listClients(scope, em, today),
    await cushionOf(scope, em),
  ]);
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <ClientList clients={clients} studioName={studioName} cushionM={cushionM} today={today} units={unitSystem} />
    </>
  );
}
