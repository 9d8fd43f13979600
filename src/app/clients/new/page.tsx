import type { Metadata } from "next";
import { requireSignedIn } from "../../../server/session";
import { NewClientForm } from "../../../ui/clients/new-client-form";
import { Header } from "../../../ui/shell/header";

export const metadata: Metadata = { title: "Add a client" };

export default async function NewClientPage() {
  const { unitSystem, owner } = await requireSignedIn();
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <NewClientForm units={unitSystem} />
    </>
  );
}
