import { offer } from "../workers/alive";
import { learnApi } from "./learn-api";
import { waterApi } from "./water-api";

offer({ ...waterApi, ...learnApi });
