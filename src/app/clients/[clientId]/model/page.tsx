import { notFound } from "next/navigation";
import { bodyFromMeasure } from "../../../../core/body/body";
import { CATALOGUE } from "../../../../core/catalogue/catalogue";
import { STUDIES } from "../../../../core/catalogue/studies.data";
import { sideToWatch } from "../../../../core/limits/complaint";
import { bodyMeasureOf, postureOf } from "../../../../core/record/standing/subject";
import { leversOf } from "../../../../core/templates/form";
import type { Setting } from "../../../../core/templates/lever";
import type { Subject } from "../../../../core/templates/template";
import { readStudio } from "../../../../data/orm";
import { listBands } from "../../../../data/repos/studio.repo";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { ModelScreen } from "../../../../ui/model/model-screen";

interface Props {
  params: Promise<{ clientId: string }>;
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** A set-up named in the address, as another screen had it; what is not one of the row's levers is left out. */
function shownFrom(subject: Subject, { show, ...rest }: Record<string, string | string[] | undefined>) {
  const form = [...CATALOGUE, ...STUDIES].find(({ id }) => id === show);
  if (!form) return null;
  const known = leversOf(subject, form).flatMap(({ lever, min, max }): [string, number][] => {
    const value = Number(rest[lever] ?? NaN);
    return Number.isFinite(value) ? [[lever, Math.min(max, Math.max(min, value))]] : [];
  });
  return { id: form.id, setting: Object.fromEntries(known) as Setting };
}

export default async function ModelPage({ params, searchParams }: Props) {
  const { unitSystem, scope } = await requireSignedIn();
  const record = await requireRecord((await params).clientId);
  const measure = bodyMeasureOf(record);
  if (!measure) return notFound();
  const [posture, side] = [postureOf(record), sideToWatch(record.complaints)];
  const shown = shownFrom({ body: bodyFromMeasure(measure), posture, leadSide: side }, await searchParams);
  const bands = await readStudio(scope.studioId, (em) => listBands(scope, em));
  return (
    <ModelScreen
      key={JSON.stringify(shown)}
      measure={measure}
      posture={posture}
      side={side}
      units={unitSystem}
      bands={bands}
      shown={shown}
    />
  );
}
