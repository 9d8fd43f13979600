"use client";
import { type ReactNode, useState } from "react";
import { takeIn } from "../../core/catalogue/catalogue";
import type { Variation } from "../../core/catalogue/variation";

/** Makes a studio's own rows known in this tab before anything below names one. */
export function KnowRows({ rows, children }: { rows: readonly Variation[]; children: ReactNode }) {
  const [known, setKnown] = useState<readonly Variation[] | null>(null);
  if (known !== rows) {
    takeIn(rows);
    setKnown(rows);
  }
  return children;
}
