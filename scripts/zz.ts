import { DEMO_REACHES } from "../src/demo/river";
import { solveSteady } from "../src/core/flow/steady";
import { rasteriseReach } from "../src/core/flow/rasterise";
import { readWater } from "../src/core/fish/read";
import { speciesById } from "../src/core/fish/species";
import { placeWords, whereaboutsWords } from "../src/words/place";
for (const reach of DEMO_REACHES) for (const q of [3,6.7,20]) { const f=solveSteady(rasteriseReach(reach,1),{discharge:q,downstream:reach.downstream});
 for (const s of ["brown-trout","king-salmon","smallmouth-bass","walleye"]) for (const light of ["day","night"] as const) { const r=readWater(f,{species:speciesById(s),visibleDepth:1,temperature:12,light,features:reach.features});
  console.log(reach.name,q,s,light,r.lies.length); if (light==="day"||s==="brown-trout") for(const l of r.lies) console.log("   ",l.rank,l.kind,l.score.toFixed(4),placeWords(l.place),"|",whereaboutsWords(l.whereabouts,"metric"),"|",l.upCurrent.map(v=>v.toFixed(1)).join(),l.hold.name+l.hold.place); } }
