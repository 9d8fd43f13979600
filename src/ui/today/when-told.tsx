import { type ReactNode, Suspense, use } from "react";

function Arrived<T>({ told, meanwhile, children }: { told: Promise<T | null>; meanwhile: ReactNode; children: (told: T) => ReactNode }) {
  const known = use(told);
  return (known !== null && children(known)) || meanwhile;
}

/** Something that the studio is still working out: what is known without it stands there until it arrives, or where it says nothing. */
export function WhenTold<T>(props: { told: Promise<T | null> | undefined; meanwhile: ReactNode; children: (told: T) => ReactNode }) {
  const { told, ...rest } = props;
  if (!told) return <>{rest.meanwhile}</>;
  return (
    <Suspense fallback={rest.meanwhile}>
      <Arrived told={told} {...rest} />
    </Suspense>
  );
}
