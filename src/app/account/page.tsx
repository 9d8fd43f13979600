import type { Metadata } from "next";
import { devicesOf } from "../../server/devices";
import { passkeysAreHere } from "../../server/auth";
import { passkeysOf } from "../../server/second-step";
import { requireAtTheDoor } from "../../server/session";
import { AccountScreen } from "../../ui/account/account-screen";
import { Header } from "../../ui/shell/header";

export const metadata: Metadata = { title: "You and your devices" };

export default async function AccountPage({ searchParams }: { searchParams: Promise<{ changed?: string }> }) {
  const { unitSystem, owner, trainerName, studioName, elsewhere, hasCodes, asksForCodes, mustTurnCodesOn } = await requireAtTheDoor();
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <AccountScreen
        trainerName={trainerName}
        studioName={studioName}
        elsewhere={elsewhere}
        hasCodes={hasCodes}
        asksForCodes={asksForCodes}
        mustTurnCodesOn={mustTurnCodesOn}
        devices={await devicesOf()}
        passkeys={await passkeysOf()}
        passkeysAreHere={passkeysAreHere()}
        isChanged={(await searchParams).changed === "yes"}
      />
    </>
  );
}
