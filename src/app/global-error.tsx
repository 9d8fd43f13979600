"use client";

/** The last resort, when even the page's frame broke: no styles, no parts of ours. */
export default function GlobalError({ reset }: { error: Error; reset: () => void }) {
  return (
    <html lang="en">
      <body>
        <main>
          <h1>This did not load</h1>
          <p>The studio&apos;s server or its database did not answer. Sets logged on the floor are safe on this tablet and will be sent.</p>
          <button type="button" onClick={reset}>
            Try again
          </button>
        </main>
      </body>
    </html>
  );
}
