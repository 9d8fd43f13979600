import type { Issue } from "../../core/reasons";
import { issueText } from "../../words/basics/issue";
import { refusalText } from "../../words/studio/refusal";

type Answer = { ok: true } | { issues: Issue[] } | { refusal: { code: string } };

/** Sends a file's bytes to one of our own addresses; what goes wrong is said in words. Null when it is kept. */
export async function sendFile(address: string, said: Readonly<Record<string, string>>, bytes: Blob): Promise<string | null> {
  const headers = { "content-type": "application/octet-stream" };
  const response = await fetch(`${address}?${new URLSearchParams(said)}`, { method: "POST", headers, body: bytes }).catch(() => null);
  if (!response) return "Not confirmed: the studio does not answer. Nothing you entered is lost; sending it once more counts once.";
  const answer = (await response.json().catch(() => null)) as Answer | null;
  if (response.ok) return null;
  if (answer && "issues" in answer) return answer.issues.map(issueText).join(" ");
  return refusalText(answer && "refusal" in answer ? answer.refusal : { code: response.status === 413 ? "too-large" : "" });
}
