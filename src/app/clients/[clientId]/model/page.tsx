import { notFound } from "next/navigation";
import { subjectOf } from "../../../../core";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { ModelScreen } from "../../../../ui/model/model-screen";

export default async function ModelPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { unitSystem } = await requireSignedIn();
  const subject = subjectOf(await requireRecord((await params).clientId));
  return subject ? <ModelScreen subject={subject} units={unitSystem} /> : notFound();
}
