import { dayAfter } from "../../../../core/day";
import { AUDIENCES } from "../../../../core/studio/letter";
import { readStudio } from "../../../../data/orm";
import { REVIEW_SESSIONS } from "../../../../data/repos/record.repo";
import { summariesOf } from "../../../../data/repos/summary.repo";
import { day } from "../../../../schemas/fields";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { letterDraft } from "../../../../ui/letter/letter-draft";
import { LetterScreen } from "../../../../ui/letter/letter-screen";

interface Props {
  params: Promise<{ clientId: string }>;
  searchParams: Promise<{ for?: string; since?: string }>;
}
const USUAL_DAYS = 84;

export default async function LetterPage({ params, searchParams }: Props) {
  const [{ clientId }, asked] = [await params, await searchParams];
  const { scope, today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId, REVIEW_SESSIONS);
  const audience = AUDIENCES.find((each) => each === asked.for) ?? "clinician";
  const sinceDay = asked.since && !day.validate(asked.since).error ? asked.since : dayAfter(today, -USUAL_DAYS);
  const kept = await readStudio(scope.studioId, (em) => summariesOf(scope, em, clientId));
  const draft = letterDraft(record, audience, sinceDay, today, unitSystem);
  return (
    <LetterScreen key={`${audience} ${sinceDay}`} clientId={clientId} audience={audience} sinceDay={sinceDay} draft={draft} kept={kept} />
  );
}
