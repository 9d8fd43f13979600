import type { Metadata } from "next";
import { PROTOCOLS } from "../../core/assess/protocols.data";
import { WARNING_SIGNS } from "../../core/limits/clinician";
import { CONDITION_KINDS } from "../../core/screen/conditions.data";
import { SCREEN_RULES } from "../../core/screen/rules.data";
import { requireSignedIn } from "../../server/session";
import { RulesPage } from "../../ui/screen/rules-page";
import { Header } from "../../ui/shell/header";

export const metadata: Metadata = { title: "Rules" };

export default async function Rules() {
  const { unitSystem, owner } = await requireSignedIn();
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <RulesPage signs={WARNING_SIGNS} kinds={CONDITION_KINDS} rules={SCREEN_RULES} protocols={PROTOCOLS} units={unitSystem} />
    </>
  );
}
