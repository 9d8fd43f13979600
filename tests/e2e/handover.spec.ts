import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import type { Page } from "@playwright/test";
import { address, dayIn, expect, expectAccessible, openClient, test } from "./studio";

test("a visit is typed, moved and read from a calendar, and stands on Today once", async ({ trainer: page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: "Add a visit" }).click();
  await page.getByRole("button", { name: /Who/ }).click();
  await page.getByRole("option", { name: "Jorun Pell" }).click();
  await page.getByRole("textbox", { name: "At" }).fill("06:10");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Keep the visit" }).click();
  const today = page.getByRole("region", { name: "Who comes today" });
  await expect(today.getByRole("listitem").filter({ hasText: "Jorun Pell" })).toContainText("06:10");
  await today.getByRole("button", { name: "Visit of Jorun Pell" }).click();
  await page.getByRole("menuitem", { name: "Move this one" }).click();
  await page.getByRole("textbox", { name: "At" }).fill("06:20");
  await page.getByRole("button", { name: "Move it" }).click();
  await expect(today.getByRole("listitem").filter({ hasText: "Jorun Pell" })).toContainText("06:20");
  await expectAccessible(page);
  const day = dayIn().replaceAll("-", "");
  const entry = (uid: string, title: string, start: string): string[] => [
    "BEGIN:VEVENT",
    `UID:${uid}`,
    `SUMMARY:${title}`,
    `DTSTART:${start}`,
    "DURATION:PT45M",
    "END:VEVENT",
  ];
  const file = (at: string): { name: string; mimeType: string; buffer: Buffer } => ({
    name: "diary.ics",
    mimeType: "text/calendar",
    buffer: Buffer.from(
      [
        "BEGIN:VCALENDAR",
        "VERSION:2.0",
        "PRODID:-//d//EN",
        ...entry("1", "Edda Quill, 45", `${day}T${at}`),
        ...entry("2", "Choir", `${day}T190000`),
        "END:VCALENDAR",
      ].join("\r\n"),
    ),
  });
  for (const at of ["062500", "063000"]) {
    const chooser = page.waitForEvent("filechooser");
    await page.getByRole("button", { name: "Read a calendar file" }).click();
    await (await chooser).setFiles(file(at));
    await expect(page.getByRole("dialog")).toContainText("Left out");
    await page.getByRole("button", { name: "Keep 1 visit" }).click();
    await expect(today.getByRole("listitem").filter({ hasText: "Edda Quill" })).toContainText(`${at.slice(0, 2)}:${at.slice(2, 4)}`);
  }
  await expect(today.getByRole("listitem").filter({ hasText: "Edda Quill" })).toHaveCount(1);
  for (const name of ["Jorun Pell", "Edda Quill"]) {
    await today.getByRole("button", { name: `Visit of ${name}` }).click();
    await page.getByRole("menuitem", { name: "Leave this one out" }).click();
    await expect(today.getByRole("listitem").filter({ hasText: name })).toHaveCount(0);
  }
});

test("two trainers: a colleague is invited, reads what is for the team and not what is private, and looks where they may only look", async ({
  trainer: page,
  browser,
}) => {
  await openClient(page, "Maren Holt", "Review");
  await page.getByRole("link", { name: "Handover" }).click();
  await expect(page.getByText("do not correct")).toBeVisible();
  await expectAccessible(page);
  const handover = page.url();
  for (const [words, whom] of [
    ["Only for me", "only me"],
    ["For everybody here", "the team"],
  ] as const) {
    await page.getByRole("textbox", { name: "A note" }).fill(words);
    await page.getByText(whom, { exact: true }).click();
    await page.getByRole("button", { name: "Keep the note" }).click();
    await expect(page.getByRole("region", { name: "Notes" }).getByRole("paragraph").filter({ hasText: words })).toBeVisible();
    await expect(page.getByRole("textbox", { name: "A note" })).toHaveValue("");
  }
  await page.goto("/studio");
  await expectAccessible(page);
  await page.getByRole("textbox", { name: "Name", exact: true }).fill("Sanne Friis");
  await page.getByRole("textbox", { name: "E-mail" }).fill("sanne@ponderis.example");
  await page.getByRole("button", { name: "Make the link" }).click();
  const link = await page.getByRole("textbox", { name: "Invitation" }).inputValue();

  const colleague = await (await browser.newContext({ baseURL: address })).newPage();
  await colleague.goto(link);
  await colleague.getByRole("textbox", { name: "Password" }).fill("short");
  await expectAccessible(colleague);
  await colleague.getByRole("textbox", { name: "Password" }).fill("a long harbour");
  await colleague.getByRole("button", { name: "Join" }).click();
  await expect(colleague.getByRole("heading", { name: "You are in" })).toBeVisible();
  await colleague.goto(link);
  await expect(colleague.getByRole("heading", { name: "This invitation has ended" })).toBeVisible();
  await colleague.goto("/sign-in");
  await colleague.getByLabel("E-mail").fill("sanne@ponderis.example");
  await colleague.getByLabel("Password").fill("a long harbour");
  await colleague.getByRole("button", { name: "Sign in" }).click();
  await expect(colleague.getByRole("heading", { name: "Today", exact: true })).toBeVisible();
  await colleague.goto(handover);
  await expect(colleague.getByText("For everybody here")).toBeVisible();
  await expect(colleague.getByText("Only for me")).toBeHidden();
  await expect(colleague.getByText("You have not seen them before")).toBeVisible();

  await page.reload();
  await page.getByRole("button", { name: /Role of Sanne Friis/ }).click();
  await page.getByRole("option", { name: "Read only" }).click();
  await expect(page.getByRole("button", { name: /Role of Sanne Friis/ })).toContainText("Read only");
  await colleague.getByRole("textbox", { name: "A note" }).fill("may I?");
  await colleague.getByRole("button", { name: "Keep the note" }).click();
  await expect(colleague.getByText("You may look in this studio, and change nothing")).toBeVisible();
  await page.getByRole("button", { name: "take Sanne Friis out of the team" }).click();
  await expect(page.getByRole("alertdialog", { name: "Take Sanne Friis out of the team?" })).toContainText("signed out everywhere");
  await expectAccessible(page);
  await page.getByRole("button", { name: "Take Sanne Friis out" }).click();
  await expect(page.getByRole("button", { name: /Role of Sanne Friis/ })).toBeHidden();
  await colleague.goto("/");
  await expect(colleague).toHaveURL(/sign-in/);
  await colleague.context().close();
});

test("a forgotten password is chosen anew by a lead's link; who signs in already joins a second studio with it", async ({
  trainer: page,
  browser,
}) => {
  const elsewhere = async () => (await browser.newContext({ baseURL: address })).newPage();
  const signInAs = async (on: Page, email: string, password: string): Promise<void> => {
    await on.goto("/sign-in");
    await on.getByLabel("E-mail").fill(email);
    await on.getByLabel("Password").fill(password);
    await on.getByRole("button", { name: "Sign in" }).click();
  };
  const COLLEAGUE = "part-timer@ponderis.example";
  await page.goto("/studio");
  await page.getByRole("button", { name: "new password for Peer Aske" }).click();
  const link = await page.getByRole("textbox", { name: "Link for Peer Aske" }).inputValue();

  const peer = await elsewhere();
  await peer.goto(link);
  await expectAccessible(peer);
  await peer.getByRole("textbox", { name: "New password" }).fill("tide and tackle");
  await peer.getByRole("button", { name: "Keep this password" }).click();
  await expect(peer.getByRole("heading", { name: "Changed" })).toBeVisible();
  await peer.goto(link);
  await expect(peer.getByRole("heading", { name: "This link has ended" })).toBeVisible();
  await signInAs(peer, COLLEAGUE, "harbour-scale");
  await expect(peer.getByText("do not go together")).toBeVisible();
  await signInAs(peer, COLLEAGUE, "tide and tackle");
  await expect(peer.getByRole("heading", { name: "Today", exact: true })).toBeVisible();
  // an open tablet is no place to guess at the present password
  await peer.goto("/account");
  const change = peer.getByRole("region", { name: "Password" });
  for (let i = 1; i <= 6; i++) {
    await change.getByRole("textbox", { name: "Present password" }).fill(`a guess ${i}`);
    await change.getByRole("textbox", { name: "New password" }).fill("harbour-scale-2");
    await peer.getByRole("button", { name: "Change the password" }).click();
    await expect(peer.getByText(i <= 5 ? "is not right" : "wrong five times")).toBeVisible();
    await expect(peer.getByRole("button", { name: "Change the password" })).toBeEnabled();
  }
  for (const path of ["verify-password", "list-sessions", "get-session", "change-password"])
    expect((await peer.request.post(`/api/auth/${path}`, { data: {}, headers: { origin: address } })).status()).toBe(404);

  const other = await elsewhere();
  await signInAs(other, "other@ponderis.example", "harbour-scale");
  await expect(other.getByRole("heading", { name: "Today", exact: true })).toBeVisible();
  await other.goto("/studio");
  await other.getByRole("textbox", { name: "Name", exact: true }).fill("Peer Aske");
  await other.getByRole("textbox", { name: "E-mail" }).fill(COLLEAGUE);
  await other.getByRole("button", { name: "Make the link" }).click();
  const invitation = await other.getByRole("textbox", { name: "Invitation" }).inputValue();
  await peer.context().clearCookies();
  await peer.goto(invitation);
  await peer.getByRole("textbox", { name: "Password" }).fill("nobody's password");
  await peer.getByRole("button", { name: "Join" }).click();
  await expect(peer.getByText("If that is you")).toBeVisible();
  await peer.getByRole("textbox", { name: "Password" }).fill("tide and tackle");
  await peer.getByRole("button", { name: "Join" }).click();
  await expect(peer.getByRole("heading", { name: "Today", exact: true })).toBeVisible();
  await peer.goto("/account");
  const studios = peer.getByRole("region", { name: "Your studios" });
  await expect(studios).toContainText("Millpond studio on this device");
  await studios.getByRole("button", { name: "Go there" }).click();
  await expect(peer.getByRole("heading", { name: "Today", exact: true })).toBeVisible();
  await peer.goto("/studio");
  await expect(peer.getByRole("heading", { name: "Studio above the chandlery" })).toBeVisible();
  await page.goto("/studio");
  await expect(page.getByRole("region", { name: "Who saw and changed what" })).toContainText("Peer Aske: chose a new password by a link");
  await Promise.all([peer.context().close(), other.context().close()]);
});

test("a letter is drafted, edited, and kept as a PDF with its words; the summary is a FHIR bundle", async ({ trainer: page }) => {
  await openClient(page, "Ines Farrow", "Review");
  await page.getByRole("link", { name: "Letter" }).click();
  await expect(page.getByRole("textbox", { name: "Where they stand" })).toHaveValue(/years/);
  await expectAccessible(page);
  await page.getByRole("textbox", { name: "To" }).fill("Dr Unn Ravn");
  await page.getByRole("textbox", { name: "Questions" }).fill("Ærlig talt: may she carry the folders?");
  await page.getByRole("textbox", { name: "How it was answered" }).fill("");
  await page.getByRole("button", { name: "Keep the letter" }).click();
  const kept = page.getByRole("region", { name: "Letters kept" }).getByRole("link", { name: /Unn Ravn/ });
  const pdf = await page.request.get((await kept.getAttribute("href")) ?? "");
  const document = await getDocument({ data: new Uint8Array(await pdf.body()), verbosity: 0 }).promise;
  const words = (await (await document.getPage(1)).getTextContent()).items.map((item) => ("str" in item ? item.str : "")).join(" ");
  expect(words).toContain("Dr Unn Ravn");
  expect(words).toContain("Ærlig talt: may she carry the folders?");
  expect(words).not.toContain("How it was answered");
  const bundle = await page.request.get((await page.getByRole("link", { name: "Summary as FHIR" }).getAttribute("href")) ?? "");
  const { entry } = (await bundle.json()) as { entry: { resource: { resourceType: string } }[] };
  expect(entry.map(({ resource }) => resource.resourceType)).toEqual(
    expect.arrayContaining(["Patient", "Observation", "DocumentReference"]),
  );
});

test("an archive is looked at before it is taken in: what is here, what differs, what is broken", async ({ trainer: page }) => {
  await openClient(page, "Nils Corrie", "Review");
  const id = /clients\/([^/]+)/.exec(page.url())?.[1] ?? "";
  const archive = await (await page.request.get(`/api/export/${id}`)).text();
  const log = await (await page.request.get(`/api/clients/${id}/log`)).text();
  expect(log.split("\r\n")[0]).toContain("day,place,exercise");
  await page.goto("/studio");
  const read = async (text: string): Promise<void> => {
    const chooser = page.waitForEvent("filechooser");
    await page.getByRole("button", { name: "Read an archive" }).click();
    await (await chooser).setFiles({ name: "a.json", mimeType: "application/json", buffer: Buffer.from(text) });
  };
  await read(archive.slice(0, 300));
  await expect(page.getByText("cut short")).toBeVisible();
  await read(archive.replace('"version":2', '"version":7'));
  await expect(page.getByText("of version 7, which is not known here")).toBeVisible();
  await read(archive);
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("all of it is here already");
  await expectAccessible(page);
  await dialog.getByRole("button", { name: "Leave it" }).click();
  const parsed = JSON.parse(archive) as { clients: { tables: Record<string, Record<string, unknown>[]> }[] };
  const [client] = parsed.clients;
  const [revision] = client?.tables["client_revision"] ?? [];
  client?.tables["client_revision"]?.push({
    ...revision,
    id: crypto.randomUUID(),
    goal: "To sail again",
    created_at: new Date(Date.now() + 60_000).toISOString(),
  });
  await read(JSON.stringify(parsed));
  await expect(dialog).toContainText("1 entry more than here");
  await dialog.getByText("those of the file").click();
  await dialog.getByRole("button", { name: "Take 1 client in" }).click();
  await expect(dialog).toContainText("taken in");
  await dialog.getByRole("button", { name: "Done" }).click();
  await page.goto(`/clients/${id}/limits`);
  await expect(page.getByText("To sail again")).toBeVisible();
  const whole = await page.request.get("/api/export/studio");
  expect(((await whole.json()) as { clients: object[] }).clients.length).toBeGreaterThan(9);
});

test("the studio's name and the words of its messages are the lead's; what may not go out is not kept", async ({ trainer: page }) => {
  await page.goto("/studio");
  const name = page.getByRole("region", { name: "Name and time" });
  await name.getByRole("textbox", { name: "Name of the studio" }).fill("Studio above the chandlery, Ferry Row");
  await name.getByRole("button", { name: "Keep so" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Studio above the chandlery, Ferry Row" })).toBeVisible();
  const words = page.getByRole("region", { name: "Words" });
  const field = words.getByRole("textbox", { name: "Words" });
  await field.fill("Good exercise today, {name}");
  await words.getByRole("button", { name: "Keep so" }).click();
  await expect(words.getByRole("alert")).toContainText("judges or promises");
  await field.fill("Morning {name}, five quiet minutes. {trainer}");
  await expect(words).toContainText("Morning Anna, five quiet minutes. Studio above the chandlery, Ferry Row");
  await words.getByRole("button", { name: "Keep so" }).click();
  await expect(words.getByText("Kept.")).toBeVisible();
  await page.reload();
  await expect(field).toHaveValue("Morning {name}, five quiet minutes. {trainer}");
  await name.getByRole("textbox", { name: "Name of the studio" }).fill("Studio above the chandlery");
  await name.getByRole("button", { name: "Keep so" }).click();
  await expect(page.getByRole("heading", { level: 1, name: "Studio above the chandlery", exact: true })).toBeVisible();
});
