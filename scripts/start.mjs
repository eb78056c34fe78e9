// npm start: serves what has been built, on this machine alone unless HOST says otherwise.
import { serve } from "./serve.mjs";

serve("start");
