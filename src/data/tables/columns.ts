import { p } from "@mikro-orm/core";

/**
 * Tables as values. Every row belongs to a studio; its key is (studio_id, id) and so is every foreign key, which the
 * migration writes. Facts are appended and superseded, never overwritten.
 */
export const scoped = {
  studioId: p.uuid().primary(),
  id: p.uuid().primary(),
  createdAt: p.datetime().onCreate(() => new Date()),
  createdBy: p.string(),
};
