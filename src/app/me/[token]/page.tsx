import type { Metadata } from "next";
import { headers } from "next/headers";
import { notFound } from "next/navigation";
import { readStudio } from "../../../data/orm";
import { consentOf, toldLately } from "../../../steps/home";
import { loadRecord } from "../../../data/repos/record.repo";
import { studioOf } from "../../../data/repos/studio.repo";
import { notesOf } from "../../../data/repos/team.repo";
import { hashOf } from "../../../data/repos/private-link.repo";
import { openPrivate, type Visitor } from "../../../server/private-door";
import { hasGivenYear } from "../../../server/year-cookie";
import { ClientPage } from "../../../ui/client-page/client-page";
import { homePage } from "../../../ui/client-page/home-page";
import { YearAsked } from "../../../ui/client-page/year-asked";
import { StudioClock } from "../../../ui/kit/studio-clock";
import { MessageScreen } from "../../../ui/shell/message-screen";

/** What a phone keeps its answers under: the same for every link of one client, and nothing is opened with it. */
const ownKeyOf = ({ studioId, clientId }: Visitor): string => hashOf(`phone ${studioId} ${clientId}`).slice(0, 16);

interface Props {
  params: Promise<{ token: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { token } = await params;
  return { title: "My exercises", robots: { index: false, follow: false }, manifest: `/api/me/${encodeURIComponent(token)}/manifest` };
}

/** A client's own page, by a private link: no sign-in, nothing of the trainer's on it. */
export default async function MePage({ params }: Props) {
  const { token } = await params;
  const visitor = await openPrivate(token, "page", (await headers()).get("x-forwarded-for") ?? "");
  if (visitor === "too-many")
    return <MessageScreen title="Too many tries">Wait a quarter of an hour, then open the link again.</MessageScreen>;
  if (visitor === "unknown") return notFound();
  const { studioId, clientId, today } = visitor;
  const scope = { studioId, actorId: "client" };
  const read = await readStudio(studioId, async (em) => ({
    studio: await studioOf(scope, em),
    record: await loadRecord(scope, em, clientId),
    consentVersion: await consentOf(scope, em, clientId),
    toldIds: await toldLately(scope, em, clientId),
    notes: (await notesOf(scope, em, clientId)).filter(({ seenBy }) => seenBy === "client").map(({ words }) => words),
  }));
  const { studio, record, ...told } = read;
  if (!record || record.client.archivedDay !== null) return notFound();
  if (visitor.asksYear && !(await hasGivenYear(visitor))) return <YearAsked token={token} studioName={studio.name} />;
  return (
    <StudioClock timeZone={visitor.timeZone}>
      <ClientPage
        token={token}
        ownKey={ownKeyOf(visitor)}
        linkHash={visitor.linkHash}
        page={homePage(record, { today, units: "metric", studioName: studio.name, ...told })}
      />
    </StudioClock>
  );
}
