import type { Metadata } from "next";
import { asVariation } from "../../../../core/catalogue/own";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { KnowRows } from "../../../../ui/catalogue/know-rows";
import { TwoFloors } from "../../../../ui/floor/session/two-floors";
import { Header } from "../../../../ui/shell/header";
import { ClientLimits } from "../../../clients/[clientId]/client-limits";
import { ClientFloor } from "../../../clients/[clientId]/floor/client-floor";

export const metadata: Metadata = { title: "Two on the floor" };

/** Two clients at once: both floors run, one is in view. */
export default async function TwoFloorsPage({ params }: { params: Promise<{ clientId: string; besideId: string }> }) {
  const { clientId, besideId } = await params;
  const { unitSystem, today, owner } = await requireSignedIn();
  const records = await Promise.all([clientId, besideId].map(requireRecord));
  return (
    <KnowRows rows={records.flatMap(({ ownRows }) => ownRows.map(asVariation))}>
      <Header units={unitSystem} owner={owner} />
      <TwoFloors
        floors={records.map((record) => ({
          clientId: record.client.id,
          name: record.client.name,
          floor: (
            <>
              <ClientLimits record={record} today={today} units={unitSystem} />
              <ClientFloor clientId={record.client.id} />
            </>
          ),
        }))}
      />
    </KnowRows>
  );
}
