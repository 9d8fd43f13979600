import type { Metadata } from "next";
import { devicesOf } from "../../server/devices";
import { requireSignedIn } from "../../server/session";
import { AccountScreen } from "../../ui/account/account-screen";
import { Header } from "../../ui/shell/header";

export const metadata: Metadata = { title: "You and your devices" };

export default async function AccountPage({ searchParams }: { searchParams: Promise<{ changed?: string }> }) {
  const { unitSystem, owner, trainerName, studioName, elsewhere } = await requireSignedIn();
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <AccountScreen
        trainerName={trainerName}
        studioName={studioName}
        elsewhere={elsewhere}
        devices={await devicesOf()}
        isChanged={(await searchParams).changed === "yes"}
      />
    </>
  );
}
