import { saveFile } from "../kit/save-file";

/** The charts as one drawing: each under the other with its name, in plain type that any reader has. */
const NAME_PX = 170;
const GAP_PX = 6;

function drawing(stack: HTMLElement): { text: string; width: number; height: number } {
  const parts: string[] = [];
  let [y, width] = [10, 0];
  for (const track of stack.querySelectorAll<HTMLElement>("[data-track]")) {
    const svg = track.querySelector("svg");
    if (!svg) continue;
    const { width: w, height: h } = svg.getBoundingClientRect();
    const inner = new XMLSerializer()
      .serializeToString(svg)
      .replace(/^<svg[^>]*>/, "")
      .replace(/<\/svg>$/, "");
    const name = (track.dataset["track"] ?? "").replaceAll("&", "&amp;").replaceAll("<", "&lt;");
    parts.push(`<text x="8" y="${y + 18}" font-weight="700">${name}</text><g transform="translate(${NAME_PX} ${y})">${inner}</g>`);
    y += h + GAP_PX;
    width = Math.max(width, w);
  }
  const [fullWidth, fullHeight] = [Math.ceil(width + NAME_PX + 20), Math.ceil(y + 10)];
  const text = `<svg xmlns="http://www.w3.org/2000/svg" width="${fullWidth}" height="${fullHeight}" viewBox="0 0 ${fullWidth} ${fullHeight}" font-family="sans-serif" font-size="13" fill="#0f2a3d"><rect width="100%" height="100%" fill="#fff"/>${parts.join("")}</svg>`;
  return { text, width: fullWidth, height: fullHeight };
}

export const saveSvg = (stack: HTMLElement): void => saveFile("review.svg", "image/svg+xml", drawing(stack).text);

export async function savePng(stack: HTMLElement): Promise<void> {
  const { text, width, height } = drawing(stack);
  const image = new Image(width, height);
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
  await image.decode();
  const canvas = Object.assign(document.createElement("canvas"), { width: 2 * width, height: 2 * height });
  canvas.getContext("2d")?.drawImage(image, 0, 0, 2 * width, 2 * height);
  canvas.toBlob((blob) => blob && saveFile("review.png", "image/png", blob), "image/png");
}
