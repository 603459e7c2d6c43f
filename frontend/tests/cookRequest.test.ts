import { describe, expect, it } from "vitest";
import {
  type CookRequest,
  EMPTY_REQUEST,
  requestFromAddress,
  requestFromPlan,
  requestToAddress,
  requestToPlan,
} from "@/lib/cookRequest";

const FULL: CookRequest = {
  ...EMPTY_REQUEST,
  cut: "back_ribs",
  count: "2",
  mass: "2 lb 4 oz",
  thickness: "1 1/4 in",
  membrane: true,
  start: "frozen",
  shape: "tapered",
  knife: "sections:3",
  bought: true,
  also: { cut: "wings", count: "8", mass: "1 kg", thickness: "" },
  pot: "pot-1",
  texture: "very",
  liquidStyle: "steam",
  release: "timed",
  minutes: "15",
  liquid: "1 1/2 cups",
  rack: "tall",
  sauce: "200 ml",
  sauceOnTop: true,
  foams: true,
  level: "own",
  gauge: "60 kPa",
  length: "30 cm",
  width: "11 cm",
  lying: "leaning",
  apart: true,
  boil: "10",
  batches: "2",
  ownMinutes: "0",
  sauceThin: true,
  sugar: "120",
  finish: "grill",
};

describe("a request", () => {
  it("is in the address whole, and comes back as it was", () => {
    expect(requestFromAddress(requestToAddress(FULL, null))).toEqual(FULL);
    expect(requestFromAddress(requestToAddress(EMPTY_REQUEST, null))).toEqual(EMPTY_REQUEST);
  });

  it("is read from an address of an earlier version", () => {
    const kept = new URLSearchParams("cut=back_ribs&school=bath");
    expect(requestFromAddress(kept).liquidStyle).toBe("bath");
  });

  it("goes to the server and back to Plan", () => {
    const plan = requestToPlan(FULL);
    expect(plan).not.toBeNull();
    // of the second kind only what Plan asks for; its start is that of the first
    expect(plan && requestFromPlan(plan)).toEqual(FULL);
  });

  it("waits for a weight and a cooker", () => {
    expect(requestToPlan({ ...FULL, mass: " " })).toBeNull();
    expect(requestToPlan({ ...FULL, pot: "" })).toBeNull();
  });

  it("cuts in every way that can be chosen", () => {
    const cut = (knife: string, cube = "") => requestToPlan({ ...FULL, knife, cube })?.pieces[0];
    expect(cut("")).toMatchObject({ cutting: null });
    expect(cut("across:3")).toMatchObject({ cutting: "across", parts: 3 });
    expect(cut("halved")).toMatchObject({ cutting: "halved", parts: null });
    expect(cut("cubes", "4 cm")).toMatchObject({ cutting: "cubes", cube: "4 cm" });
    expect(cut("sections:2")).toMatchObject({ section_bones: 2 });
    expect(cut("mince:2")).toMatchObject({ cutting: null });
  });

  it("lets the server refuse what is no number", () => {
    expect(requestToPlan({ ...FULL, count: "two" })?.pieces[0]?.count).toBe(0);
    expect(requestToPlan({ ...FULL, ownMinutes: "a while" })?.my_minutes).toBeGreaterThan(720);
    expect(requestToPlan({ ...FULL, ownMinutes: "" })?.my_minutes).toBeNull();
  });

  it("reads addresses of version 1", () => {
    const old = requestFromAddress(new URLSearchParams("cut=back_ribs&sections=3&stacked=yes"));
    expect(old.knife).toBe("sections:3");
    expect(old.lying).toBe("stacked");
  });

  it("takes nothing from an address that it does not know", () => {
    const odd = requestFromAddress(
      new URLSearchParams("texture=raw&release=now&level=top&lying=up"),
    );
    expect(odd).toMatchObject({ texture: null, release: null, level: "high", lying: null });
  });
});
