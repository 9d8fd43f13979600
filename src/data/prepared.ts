import type { EntityManager, Knex } from "@mikro-orm/postgresql";

/**
 * Rows of a long statement that each connection plans once and keeps under its name: planning the record takes as long as
 * answering it. A pool of transactions (DATABASE_POOLED) hands every statement to another connection, and then it has no name. Parameters stand as `?`; errors are the ORM's.
 */
export async function executePrepared<T>(
  em: EntityManager,
  name: string,
  statement: string,
  parameters: readonly (string | number)[],
): Promise<T[]> {
  const query = em
    .getKnex()
    .raw<{ rows: T[] }>(statement, parameters)
    .options(process.env["DATABASE_POOLED"] ? {} : { name });
  const transaction = em.getTransactionContext<Knex.Transaction>();
  try {
    return (await (transaction ? query.transacting(transaction) : query)).rows;
  } catch (error) {
    throw em.getDriver().convertException(error as Error);
  }
}
