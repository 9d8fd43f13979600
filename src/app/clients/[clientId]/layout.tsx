import type { Metadata } from "next";
import type { ReactNode } from "react";
import { asVariation } from "../../../core/catalogue/own";
import { retestsOf } from "../../../core/assess/finding";
import { conditionIds } from "../../../core/assess/pick";
import { openWarningsOf } from "../../../core/record/derive";
import { requireRecord } from "../../../server/record";
import { requireSignedIn } from "../../../server/session";
import { KnowRows } from "../../../ui/catalogue/know-rows";
import { ModelLinked } from "../../../ui/kit/why";
import { Header } from "../../../ui/shell/header";
import { LimitsBar } from "../../../ui/shell/limits-bar";
import { ageOn } from "../../../ui/text/day-text";
import { responseText } from "../../../ui/text/decision-text";
import { massText, statureText } from "../../../ui/text/quantity-text";

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
  const last = record.responses.at(-1);
  return (
    <KnowRows rows={record.ownRows.map(asVariation)}>
      <Header
        units={unitSystem}
        owner={owner}
        client={{ id: client.id, name: client.name, line: `${ageOn(client.birthYear, today)} y${size}` }}
      />
      <LimitsBar
        clientId={client.id}
        limits={record.limits}
        warnings={openWarningsOf(record)}
        today={today}
        units={unitSystem}
        ownLimit={record.screen.person?.ownLimit ?? ""}
        overdueCount={retestsOf(record.findings, conditionIds(record.screen), today).filter(({ isOverdue }) => isOverdue).length}
        last={last ? `Last session: ${responseText[last.class]}` : "No morning yet"}
      />
      <ModelLinked href={`/clients/${client.id}/model`}>{children}</ModelLinked>
    </KnowRows>
  );
}
