import { offer } from "../workers/alive";
import { waterApi } from "./water-api";

offer(waterApi);
