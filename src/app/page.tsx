import { getOrm } from "../data/orm";
import { listClients } from "../data/repos/client.repo";
import { requireSignedIn } from "../server/session";
import { ClientList } from "../ui/clients/client-list";
import { Header } from "../ui/shell/header";

export default async function ClientsPage() {
  const { scope, studioName, unitSystem, today } = await requireSignedIn();
  const clients = await listClients(scope, (await getOrm()).em.fork());
  return (
    <>
      <Header units={unitSystem} />
      <ClientList clients={clients} studioName={studioName} today={today} />
    </>
  );
}
