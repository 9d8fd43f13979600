import { readStudio } from "../data/orm";
import { listClients } from "../data/repos/client.repo";
import { requireSignedIn } from "../server/session";
import { ClientList } from "../ui/clients/client-list";
import { Header } from "../ui/shell/header";

export default async function ClientsPage() {
  const { scope, studioName, unitSystem, today } = await requireSignedIn();
  const clients = await readStudio(scope.studioId, (em) => listClients(scope, em));
  return (
    <>
      <Header units={unitSystem} />
      <ClientList clients={clients} studioName={studioName} today={today} />
    </>
  );
}
