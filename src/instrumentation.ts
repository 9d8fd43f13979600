/** Runs once as a server starts: reminders go round, where there is a database to ask. */
export async function register(): Promise<void> {
  if (process.env["NEXT_RUNTIME"] !== "nodejs" || !process.env["DATABASE_URL"]) return;
  const [{ startReminding }, { reminderWords }] = [await import("./server/messages"), await import("./words/studio/message")];
  startReminding(reminderWords);
}
