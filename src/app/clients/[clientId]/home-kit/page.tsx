import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { EquipmentScreen } from "../../../../ui/equipment/equipment-screen";

export default async function HomeKitPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { unitSystem } = await requireSignedIn();
  const { homeKit } = await requireRecord(clientId);
  return <EquipmentScreen clientId={clientId} where="What is at home" items={homeKit} units={unitSystem} />;
}
