// Enquiries of made-up museums: two that wait, and one that the studio could not take on.
import type { Enquiry } from "../core/plan/schema.ts";

export const enquiries: Enquiry[] = [
  {
    id: "enquiry-mill",
    name: "A mill that turns again",
    purpose: "Our water wheel has not turned since 1954. Visitors should turn it by hand and see what it drove.",
    contact: { name: "Hedda Quill", organisation: "Lower Quarry Mill Trust", email: "hedda@quarrymill.example" },
    wishedStart: "2027-05-03",
    wishedFinish: "2027-08-27",
    value: 64_000,
    hours: [
      { roleId: "lead", hours: 60 },
      { roleId: "designer", hours: 140 },
      { roleId: "fabricator", hours: 260 },
      { roleId: "lighting", hours: 40 },
      { roleId: "installer", hours: 90 },
    ],
    state: "received",
    history: [{ at: "2027-01-28T15:20:00Z", by: "Hedda Quill", step: "received" }],
  },
  {
    id: "enquiry-tram",
    name: "A tram to sit in",
    purpose: "One car of 1911, restored, with the sounds of the street outside.",
    contact: { name: "Osman Vell", organisation: "Ravenholt City Museum" },
    wishedStart: "2027-09-06",
    value: 48_000,
    templateId: "template-display",
    state: "received",
    history: [{ at: "2027-01-22T09:05:00Z", by: "Osman Vell", step: "received" }],
  },
  {
    id: "enquiry-maze",
    name: "A maze of mirrors by Easter",
    contact: { name: "Piet Anker", organisation: "Lantern Fairs" },
    wishedStart: "2027-02-08",
    wishedFinish: "2027-03-26",
    value: 15_000,
    state: "declined",
    history: [
      { at: "2027-01-11T10:00:00Z", by: "Piet Anker", step: "received" },
      {
        at: "2027-01-12T08:30:00Z",
        by: "Nora Okafor",
        step: "declined",
        text: "Our fabricators are full until the middle of April. We would gladly look at it for next year.",
      },
    ],
  },
];
