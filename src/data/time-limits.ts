import type { EntityManager } from "@mikro-orm/postgresql";

/** What one stuck query or forgotten transaction may hold up, of whoever does not say otherwise. */
export const TIME_LIMITS = {
  statement_timeout: "15s",
  lock_timeout: "5s",
  idle_in_transaction_session_timeout: "15s",
} as const;

/** Whether the limits hold for whoever asks: a role may lift its own, and is then not sent requests. */
export async function timeLimitsHold(em: EntityManager): Promise<boolean> {
  const [row] = await em.execute<Record<keyof typeof TIME_LIMITS, string>[]>(
    `select ${Object.keys(TIME_LIMITS)
      .map((limit) => `current_setting('${limit}') as ${limit}`)
      .join(", ")}`,
  );
  return Object.entries(TIME_LIMITS).every(([limit, value]) => row?.[limit as keyof typeof TIME_LIMITS] === value);
}
