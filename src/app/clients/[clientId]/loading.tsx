import { Page, Soft } from "../../../ui/kit/layout";

/** Header and limits are there already; the station follows. */
export default function Loading() {
  return (
    <Page aria-busy>
      <Soft role="status">Working it out</Soft>
    </Page>
  );
}
