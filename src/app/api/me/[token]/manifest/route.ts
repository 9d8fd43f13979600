/** So that the page can stand among a phone's own applications. It says nothing of whose it is. */
export async function GET(_request: Request, { params }: { params: Promise<{ token: string }> }): Promise<Response> {
  const { token } = await params;
  const manifest = {
    name: "My exercises",
    short_name: "Exercises",
    start_url: `/me/${encodeURIComponent(token)}`,
    scope: "/me/",
    display: "standalone",
    background_color: "#fbf9f5",
    theme_color: "#0f2a3d",
    icons: [
      { src: "/icon.svg", sizes: "any", type: "image/svg+xml", purpose: "any" },
      { src: "/icon-512.png", sizes: "512x512", type: "image/png", purpose: "any" },
    ],
  };
  return Response.json(manifest, { headers: { "content-type": "application/manifest+json", "cache-control": "no-store" } });
}
