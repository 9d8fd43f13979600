import type { Metadata } from "next";
import { readStudio } from "../../data/orm";
import { kitListOf } from "../../data/repos/studio.repo";
import { inSentence } from "../../words/basics/words";
import { requireSignedIn } from "../../server/session";
import { EquipmentScreen } from "../../ui/equipment/equipment-screen";
import { Header } from "../../ui/shell/header";

export const metadata: Metadata = { title: "Equipment" };

export default async function EquipmentPage() {
  const { scope, unitSystem, owner, studioName } = await requireSignedIn();
  const items = await readStudio(scope.studioId, (em) => kitListOf(scope, em, null));
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <EquipmentScreen clientId={null} where={`Equipment of the ${inSentence(studioName)}`} items={items} units={unitSystem} />
    </>
  );
}
