import { Bookings } from "../../../views/money/bookings/bookings.tsx";
import { currentAnswer } from "../../host.ts";

export default async function BookingsPage() {
  return <Bookings initial={await currentAnswer("bookings", {})} />;
}
