import type { Metadata } from "next";
import type { ReactNode } from "react";
import { asVariation } from "../../../core/catalogue/own";
import { requireRecord } from "../../../server/record";
import { isCrowded } from "../../../server/crowd";
import { requireSignedIn } from "../../../server/session";
import { KnowRows } from "../../../ui/catalogue/know-rows";
import { ModelLinked } from "../../../ui/kit/why";
import { Header } from "../../../ui/shell/header";
import { Station } from "../../../ui/shell/station";
import { ageOn } from "../../../words/basics/day";
import { massText, statureText } from "../../../words/basics/quantity";
import { ClientLimits } from "./client-limits";

interface Props {
  params: Promise<{ clientId: string }>;
  children: ReactNode;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { client } = await requireRecord((await params).clientId);
  return { title: client.name };
}

export default async function ClientLayout({ params, children }: Props) {
  const { clientId } = await params;
  const { unitSystem, today, owner } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const { client } = record;
  const measure = record.measures.at(-1);
  const size = measure ? `, ${statureText(measure.heightM, unitSystem)}, ${massText(measure.massKg, unitSystem)}` : "";
  return (
    <KnowRows rows={record.ownRows.map(asVariation)}>
      <Header
        units={unitSystem}
        owner={owner}
        client={{ id: client.id, name: client.name, line: `${ageOn(client.birthYear, today)} y${size}` }}
      />
      <ClientLimits record={record} today={today} units={unitSystem} />
      <ModelLinked href={`/clients/${client.id}/model`}>
        <Station isLeftToDevice={await isCrowded()}>{children}</Station>
      </ModelLinked>
    </KnowRows>
  );
}
