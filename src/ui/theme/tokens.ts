/** A weighing house in a harbour: deep marine, fog, bone, brass for what is in hand, oxide for past a ceiling and stop. */
export const color = {
  marine: "#0f2a3d",
  marineSoft: "#28485e",
  ink: "#0f2a3d",
  inkSoft: "#465a68",
  fog: "#e6ecec",
  fogDeep: "#c9d4d6",
  bone: "#fbf9f5",
  paper: "#ffffff",
  brass: "#8f5f0c",
  brassLight: "#e3c27a",
  brassWash: "#f3f0e6",
  oxide: "#9b2f23",
  oxideWash: "#f9ecea",
  moss: "#2c5f49",
  wood: "#d0ba8a",
  woodLight: "#e6dcbf",
} as const;

export const font = {
  text: "var(--font-text-ext), var(--font-text), system-ui, sans-serif",
  head: "var(--font-head-ext), var(--font-head), system-ui, sans-serif",
} as const;

/** Text is 15 px or more; touch targets 44 px on the floor. */
export const size = { text: "15px", small: "15px", radius: "4px", target: "44px" } as const;

export const media = { upright: "@media (max-width: 1023px)", phone: "@media (max-width: 599px)" } as const;
