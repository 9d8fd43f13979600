import { bodyMeasureOf, MODEL_TEMPLATES, postureOf } from "../../../../core";
import { notFound } from "next/navigation";
import { inTransaction } from "../../../../data/orm";
import { listBands } from "../../../../data/repos/client.repo";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { ModelScreen } from "../../../../ui/model/model-screen";

interface Props {
  params: Promise<{ clientId: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** A set-up named in the address, as another screen had it; what is not one of the template's levers is left out. */
function shownFrom({ show, ...rest }: Record<string, string | string[] | undefined>) {
  const template = MODEL_TEMPLATES.find(({ id }) => id === show);
  if (!template) return null;
  const known = template.levers.flatMap(({ id, min, max }): [string, number][] => {
    const value = Number(rest[id] ?? NaN);
    return Number.isFinite(value) ? [[id, Math.min(max, Math.max(min, value))]] : [];
  });
  return { id: template.id, values: Object.fromEntries(known) };
}

export default async function ModelPage({ params, searchParams }: Props) {
  const { unitSystem, scope } = await requireSignedIn();
  const record = await requireRecord((await params).clientId);
  const measure = bodyMeasureOf(record);
  const shown = shownFrom(await searchParams);
  const bands = await inTransaction((em) => listBands(scope, em));
  return measure ? (
    <ModelScreen key={JSON.stringify(shown)} measure={measure} posture={postureOf(record)} units={unitSystem} bands={bands} shown={shown} />
  ) : (
    notFound()
  );
}
