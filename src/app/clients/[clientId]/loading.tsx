import { Working } from "../../../ui/shell/station";

/** Header and limits are there already; the station follows. */
export default Working;
