// src/core/reading/told.ts
var PARTS = ["bar", "chain", "driveSprocket", "nose"];
var recorded = { code: "recorded" };
var measuredAgain = { code: "measured-again" };
var goesWith = (...readings) => ({ code: "goes-with", readings });

// src/core/reading/declare.ts
var reading = (kind, told) => ({ is: "reading", kind, told });
var length = (spec, told = {}) => reading({ kind: "length", spec }, told);
var count = (range, told = {}) => reading({ kind: "count", ...range }, told);
var figure = ({ to }, told = {}) => reading({ kind: "number", to }, told);
var oneOf = (options, told = {}) => reading({ kind: "choice", options }, told);
var someOf = (options, told = {}, most = options.length) => reading({ kind: "choices", options, most }, told);
var PART_OF = { bar: "bar", nose: "nose", chain: "chain", sprocket: "driveSprocket" };
function seen(words2, { check, condemns = false, always = false, together: together2 = false, ...told }) {
  const said = (word) => typeof word === "string" ? { outcome: word, work: null } : { outcome: word[0], work: word[1] };
  const judged2 = {
    check,
    part: PART_OF[check.split(".")[0]],
    condemns,
    always,
    together: together2,
    words: Object.fromEntries(Object.entries(words2).map(([word, how]) => [word, said(how)]))
  };
  return reading({ kind: "choice", options: Object.keys(words2) }, { ...told, seen: judged2 });
}
var yesNo = (told = {}) => reading({ kind: "yes-no" }, told);
var words = (most, told = {}) => reading({ kind: "text", most }, told);
function group(shape, told = {}, must = []) {
  return { is: "group", shape, must, told };
}
var listOf = (item, most, told = {}) => ({
  is: "list",
  item,
  most,
  orderedBy: null,
  standsEmpty: false,
  told
});
var orderedList = (item, most, orderedBy, told = {}) => ({ is: "list", item, most, orderedBy, standsEmpty: true, told });

// src/core/reading/place.ts
var isMember = (key) => /^\d{1,3}$/.test(key);
var isSide = (key) => key === "A" || key === "B";

// src/core/reading/catalogue.ts
function handedDown({ minutes, step: step2, view, nose }) {
  return {
    ...minutes === void 0 ? {} : { minutes },
    ...step2 === void 0 ? {} : { step: step2 },
    ...view === void 0 ? {} : { view },
    ...nose === void 0 ? {} : { nose }
  };
}
function placeOf(declaration, id = "", around = {}) {
  const told = { ...around, ...declaration.told };
  if (declaration.is === "reading") return { is: "reading", reading: { id, kind: declaration.kind, told } };
  const below = handedDown(told);
  if (declaration.is === "list") {
    const { most, orderedBy } = declaration;
    return { is: "list", id, told, item: placeOf(declaration.item, id, below), most, orderedBy };
  }
  const members = Object.entries(declaration.shape);
  const idOf = (key) => isSide(key) ? id : id === "" ? key : `${id}.${key}`;
  return {
    is: "group",
    id,
    told,
    members: new Map(members.map(([key, member]) => [key, placeOf(member, idOf(key), below)])),
    must: declaration.must,
    empty: members.flatMap(([key, member]) => member.is === "list" && member.standsEmpty ? [key] : [])
  };
}
function placeAt(root, path) {
  let at2 = root;
  for (const key of path.split(".")) {
    if (at2?.is === "group") at2 = at2.members.get(key);
    else if (at2?.is === "list" && isMember(key)) at2 = at2.item;
    else return null;
  }
  return at2 ?? null;
}
function readingsOf(place) {
  if (place.is === "reading") return [place.reading];
  if (place.is === "list") return readingsOf(place.item);
  const all = [...place.members.values()].flatMap(readingsOf);
  return [...new Map(all.map((reading2) => [reading2.id, reading2])).values()];
}

// src/core/quantity/length.ts
var percent = (value2) => value2;
var countOf = (value2) => value2;
var MM_PER_INCH = 25.4;
function mm(value2) {
  if (!Number.isFinite(value2)) throw new RangeError(`A length must be finite, not ${value2}.`);
  return value2;
}
function inches(value2) {
  return mm(value2 * MM_PER_INCH);
}
function toInches(length2) {
  return length2 / MM_PER_INCH;
}
function degrees(radians) {
  if (!Number.isFinite(radians)) throw new RangeError(`An angle must be finite, not ${radians}.`);
  return radians * 180 / Math.PI;
}
function toRadians(angle) {
  return angle * Math.PI / 180;
}

// src/core/quantity/field.ts
var FIELD_KINDS = {
  gauge: { lo: 0.8, hi: 2.3, name: "gauge", tools: ["caliper", "slot-gauge"] },
  thickness: { lo: 0.5, hi: 2.3, name: "drive-link thickness", tools: ["caliper", "slot-gauge"] },
  grooveWidth: { lo: 0.8, hi: 4, name: "groove width", tools: ["caliper", "slot-gauge", "feeler"] },
  barThickness: { lo: 2.5, hi: 8, name: "bar thickness", tools: ["caliper", "rule"] },
  depth: { lo: 0, hi: 25, name: "groove depth", tools: ["depth-rod", "depth-marks", "caliper"] },
  tang: { lo: 1, hi: 15, name: "drive-link tang", tools: ["caliper", "depth-rod", "rule"] },
  kerf: { lo: 3, hi: 15, name: "kerf", tools: ["caliper", "rule"] },
  cutter: { lo: 0, hi: 20, name: "cutter length", tools: ["caliper", "rule"] },
  smallDefect: { lo: 0, hi: 10, name: "wear or bow", tools: ["feeler", "depth-rod", "caliper", "rule"] },
  bodyHeight: { lo: 20, hi: 150, name: "bar height", tools: ["caliper", "rule"] },
  station: { lo: 0, hi: 3e3, name: "position along the bar", tools: ["rule", "tape"] },
  barLength: { lo: 100, hi: 3e3, name: "bar length", tools: ["rule", "tape"] },
  pitch: { lo: 5, hi: 21, name: "pitch", tools: ["caliper", "rule"] },
  span: { lo: 5, hi: 3e3, name: "span over rivets", tools: ["caliper", "rule", "template"] },
  push: { lo: 50, hi: 3e3, name: "push-and-pull length", tools: ["tape", "rule", "caliper"] },
  file: { lo: 3, hi: 8, name: "file diameter", tools: ["caliper", "rule"] },
  loop: { lo: 300, hi: 6e3, name: "length round the loop", tools: ["tape", "rule"] },
  centres: { lo: 80, hi: 2500, name: "distance between centres", tools: ["tape", "rule"] },
  chip: { lo: 0, hi: 200, name: "length of a chip", tools: ["rule", "caliper"] },
  noseRadius: { lo: 8, hi: 90, name: "nose radius", tools: ["rule", "caliper"] }
};
function plausibleRange(kind) {
  const { lo, hi } = FIELD_KINDS[kind];
  return { lo, hi };
}
function bareUnits(kind) {
  return kind === "gauge" || kind === "thickness" || kind === "grooveWidth" ? ["mm", "in", "thou"] : ["mm", "in"];
}
var UNIT_MM = { mm: 1, cm: 10, in: MM_PER_INCH, thou: MM_PER_INCH / 1e3 };

// src/core/result.ts
var ok = (value2) => ({ ok: true, value: value2 });
var err = (error) => ({ ok: false, error });

// src/core/quantity/parse.ts
var UNIT_WORDS = {
  mm: ["mm"],
  millimetre: ["mm"],
  millimetres: ["mm"],
  millimeter: ["mm"],
  millimeters: ["mm"],
  cm: ["cm"],
  centimetre: ["cm"],
  centimetres: ["cm"],
  in: ["in"],
  "in.": ["in"],
  inch: ["in"],
  inches: ["in"],
  '"': ["in"],
  "\u201D": ["in"],
  "\u2033": ["in"],
  "''": ["in"],
  thou: ["thou"],
  thousandths: ["thou"],
  // A "mil" is a thousandth of an inch to some benches and a millimetre to others.
  mil: ["mm", "thou"],
  mils: ["mm", "thou"]
};
var VULGAR = {
  "\xBD": "1/2",
  "\xBC": "1/4",
  "\xBE": "3/4",
  "\u215B": "1/8",
  "\u215C": "3/8",
  "\u215D": "5/8",
  "\u215E": "7/8"
};
function readNumber(text) {
  const mixed2 = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$/.exec(text);
  if (mixed2) {
    const [, whole, top, bottom] = mixed2;
    if (Number(bottom) === 0) return [];
    return [{ value: Number(whole ?? 0) + Number(top) / Number(bottom), fraction: true, shown: text }];
  }
  if (/^\d*\.?\d+$|^\d+\.$/.test(text)) return [{ value: Number(text), fraction: false, shown: text }];
  if (/^\d*,\d+$/.test(text)) {
    const decimal = { value: Number(text.replace(",", ".")), fraction: false, shown: text.replace(",", ".") };
    if (!/^[1-9]\d{0,2},\d{3}$/.test(text)) return [decimal];
    const thousands = text.replace(",", "");
    return [decimal, { value: Number(thousands), fraction: false, shown: thousands }];
  }
  return [];
}
function splitUnit(text) {
  const match = /^([\d.,/\s-]*\d\.?)\s*([a-z."”″']*)$/i.exec(text);
  if (!match) return null;
  return { number: match[1].trim(), unit: match[2].toLowerCase() };
}
function parseLength(text, kind, declared) {
  const trimmed = text.trim();
  if (trimmed === "") return err({ code: "empty" });
  const plain = trimmed.replace(/[½¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`).trim();
  if (/^[-−–]\s*\.?\d/.test(plain)) return err({ code: "negative", text: trimmed, kind });
  const parts = splitUnit(plain);
  const numbers = parts ? readNumber(parts.number) : [];
  if (!parts || numbers.length === 0) return err({ code: "not-a-length", text: trimmed, kind });
  const written = parts.unit === "" ? void 0 : UNIT_WORDS[parts.unit];
  if (parts.unit !== "" && !written) return err({ code: "not-a-length", text: trimmed, kind });
  const readings = numbers.flatMap((number) => {
    const units = written ?? (number.fraction ? ["in"] : bareUnits(kind));
    return units.map((unit) => ({ unit, shown: `${number.shown} ${unit}`, length: mm(number.value * UNIT_MM[unit]) }));
  });
  return choose(trimmed, kind, readings, written ? void 0 : declared);
}
function choose(text, kind, readings, declared) {
  const { lo, hi } = plausibleRange(kind);
  const plausible = readings.filter(({ length: length2 }) => length2 >= lo && length2 <= hi);
  const meant = plausible.filter(({ unit }) => unit === declared);
  const left = meant.length > 0 ? meant : plausible;
  const [only, ...rivals] = left;
  const named = (list) => list.map(({ shown, length: length2 }) => ({ text: shown, length: length2 }));
  if (!only) {
    const shown = declared ? readings.filter(({ unit }) => unit === declared) : readings;
    return err({ code: "out-of-range", text, kind, lo, hi, readings: named(shown.length > 0 ? shown : readings) });
  }
  const distinct = rivals.filter(({ length: length2 }) => length2 !== only.length);
  if (distinct.length > 0) return err({ code: "ambiguous", text, readings: named([only, ...distinct]) });
  return ok({ length: only.length, unit: only.unit, text });
}

// src/core/quantity/instrument.ts
var INSTRUMENTS = {
  caliper: { resolution: 0.01, maxError: 0.03, placing: 0.02, name: "caliper" },
  "depth-rod": { resolution: 0.01, maxError: 0.03, placing: 0.05, name: "depth rod" },
  "depth-marks": { resolution: 0.5, maxError: 0.1, placing: 0.25, name: "depth marks" },
  feeler: { resolution: 0.05, maxError: 0.01, placing: 0.03, name: "feeler blade" },
  "slot-gauge": { resolution: 0.01, maxError: 0.01, placing: 0.02, name: "slot gauge" },
  template: { resolution: 0.1, maxError: 0.1, placing: 0.1, name: "template" },
  rule: { resolution: 0.5, maxError: 0.2, placing: 0.25, name: "rule" },
  tape: { resolution: 0.5, maxError: 0.5, placing: 0.25, name: "tape" }
};
var INSTRUMENT_IDS = Object.keys(INSTRUMENTS);
var PLACING_ON_RIVETS = 0.1;

// src/core/quantity/quadrature.ts
var quadrature = (a, b) => Math.sqrt(a * a + b * b);

// src/core/quantity/reading.ts
function measured(repeats2, instrument, placing) {
  return placing === void 0 ? { kind: "measured", repeats: repeats2, instrument } : { kind: "measured", repeats: repeats2, instrument, placing };
}
var mean = (values) => values.reduce((sum, value2) => sum + value2, 0) / values.length;
function placingUncertainty({
  instrument,
  placing,
  scatter
}) {
  if (scatter !== void 0) return scatter;
  const { resolution, placing: usual } = INSTRUMENTS[instrument];
  return quadrature(placing ?? usual, resolution / Math.sqrt(12));
}
function sharedUncertainty(instrument) {
  return INSTRUMENTS[instrument].maxError / Math.sqrt(3);
}
function standardUncertainty(reading2) {
  return quadrature(
    sharedUncertainty(reading2.instrument),
    placingUncertainty(reading2) / Math.sqrt(reading2.repeats.length)
  );
}
function estimate(reading2) {
  if (reading2.kind === "measured")
    return {
      value: mm(mean(reading2.repeats)),
      u: standardUncertainty(reading2),
      shared: sharedUncertainty(reading2.instrument),
      tool: reading2.instrument
    };
  if (reading2.lo === null || reading2.hi === null) return null;
  const { lo, hi } = reading2;
  return { value: mm((lo + hi) / 2), u: (hi - lo) / Math.sqrt(12), between: [lo, hi] };
}
function ownUncertainty({ u, shared = 0 }) {
  return Math.sqrt(Math.max(0, u ** 2 - shared ** 2));
}
var sameTool = (a, b) => a.tool !== void 0 && a.tool === b.tool;
function difference(a, b) {
  const [first, second] = sameTool(a, b) ? [ownUncertainty(a), ownUncertainty(b)] : [a.u, b.u];
  return { value: mm(a.value - b.value), u: quadrature(first, second) };
}
function boundsOf(reading2) {
  const both = estimate(reading2);
  if (both) return { lo: both, hi: both };
  const { lo, hi, u = 0 } = reading2;
  return { lo: lo === null ? null : { value: lo, u }, hi: hi === null ? null : { value: hi, u } };
}

// src/core/quantity/scatter.ts
var DEGREES_NEEDED = 6;
var BEYOND_CHANCE = [6.635, 9.21, 11.345, 13.277, 15.086];
var poolOf = ({ instrument, placing }) => `${instrument}|${placing ?? ""}`;
function scatterOf({ squares, degrees: degrees2, usual, resolution }) {
  if (degrees2 === 0) return null;
  const own = Math.sqrt(squares / degrees2);
  if (degrees2 >= DEGREES_NEEDED) return Math.max(own, resolution / Math.sqrt(12));
  return squares / usual ** 2 > BEYOND_CHANCE[degrees2 - 1] ? own : null;
}
function pooledScatter(readings) {
  const pools = /* @__PURE__ */ new Map();
  for (const reading2 of readings) {
    const n = reading2.repeats.length;
    if (n < 2) continue;
    const centre = reading2.repeats.reduce((sum, each) => sum + each, 0) / n;
    const { resolution } = INSTRUMENTS[reading2.instrument];
    const pool = pools.get(poolOf(reading2)) ?? {
      squares: 0,
      degrees: 0,
      usual: placingUncertainty(reading2),
      resolution
    };
    pool.squares += reading2.repeats.reduce((sum, each) => sum + (each - centre) ** 2, 0);
    pool.degrees += n - 1;
    pools.set(poolOf(reading2), pool);
  }
  const found = new Map([...pools].map(([key, pool]) => [key, scatterOf(pool)]));
  return (reading2) => found.get(poolOf(reading2)) ?? null;
}

// src/core/quantity/typed-reading.ts
var BOUND = /^(enters|refuses)\s+(.+)$/i;
function boundedFrom(enters, refuses, { goNoGo = "tab", instrument, placing }) {
  const [lo, hi] = goNoGo === "tab" ? [enters, refuses] : [refuses, enters];
  if (lo !== null && hi !== null && lo >= hi) return err({ code: "bounds-crossed", lo, hi });
  const shown = lo ?? hi;
  if (shown === null) return err({ code: "empty" });
  return ok({ kind: "bounded", lo, hi, u: standardUncertainty(measured([shown], instrument, placing)) });
}
var readBefore = /* @__PURE__ */ new Map();
var MOST_REMEMBERED = 4e3;
function parseReading(text, field, declared, instrument = field.instrument) {
  const { kind, placing = "", goNoGo = "" } = field;
  const key = `${kind}|${placing}|${goNoGo}|${field.instrument}|${instrument}|${declared ?? ""}|${text}`;
  const before = readBefore.get(key);
  if (before) return before;
  const read4 = readText(text, field, declared, instrument);
  if (readBefore.size >= MOST_REMEMBERED) readBefore.clear();
  readBefore.set(key, read4);
  return read4;
}
function readText(text, field, declared, instrument) {
  if (/^\s*(enters|refuses)\b/i.test(text)) return parseBounds(text, field, declared);
  const repeats2 = [];
  for (const part6 of text.split(";").filter((piece, i) => i === 0 || piece.trim() !== "")) {
    const read4 = parseLength(part6, field.kind, declared);
    if (!read4.ok) return read4;
    repeats2.push(read4.value.length);
  }
  const [first, ...rest] = repeats2;
  if (first === void 0) return err({ code: "empty" });
  const placing = instrument === field.instrument ? field.placing : void 0;
  return ok(measured([mm(first), ...rest], instrument, placing));
}
function parseBounds(text, field, declared) {
  let enters = null;
  let refuses = null;
  for (const part6 of text.split(/[;,]\s+(?=enters|refuses)/i)) {
    const match = BOUND.exec(part6.trim());
    if (!match) return err({ code: "not-a-length", text: part6.trim(), kind: field.kind });
    const read4 = parseLength(match[2], field.kind, declared);
    if (!read4.ok) return read4;
    if (match[1].toLowerCase() === "enters") enters = read4.value.length;
    else refuses = read4.value.length;
  }
  return boundedFrom(enters, refuses, field);
}

// src/core/quantity/normal.ts
var SERIES_TERMS = 200;
var SERIES_BELOW = 2.5;
var FRACTION_DEPTH = 80;
function erfSeries(x) {
  let term = x;
  let sum = x;
  for (let n = 1; n < SERIES_TERMS; n += 1) {
    term *= -(x * x) / n;
    const next2 = term / (2 * n + 1);
    sum += next2;
    if (Math.abs(next2) < 1e-17 * Math.abs(sum)) break;
  }
  return 2 / Math.sqrt(Math.PI) * sum;
}
function erfcFraction(x) {
  let tail = x;
  for (let k = FRACTION_DEPTH; k > 0; k -= 1) tail = x + k / 2 / tail;
  return Math.exp(-x * x) / Math.sqrt(Math.PI) / tail;
}
function normalCdf(z4) {
  const x = Math.abs(z4) / Math.SQRT2;
  const upperTail = x < SERIES_BELOW ? (1 - erfSeries(x)) / 2 : erfcFraction(x) / 2;
  return z4 >= 0 ? 1 - upperTail : upperTail;
}
function normalPdf(z4) {
  return Math.exp(-(z4 * z4) / 2) / Math.sqrt(2 * Math.PI);
}

// src/core/quantity/conformity.ts
var SURE = 0.95;
function probabilityWithin({ value: value2, u }, limit2, kind) {
  const margin = kind === "min" ? value2 - limit2 : limit2 - value2;
  if (u === 0) return margin >= 0 ? 1 : 0;
  return normalCdf(margin / u);
}
var exactly = (probability) => ({ least: probability, most: probability });
function readingWithin(reading2, limit2, kind) {
  if (reading2.kind === "measured") return exactly(probabilityWithin(estimate(reading2), limit2, kind));
  const { lo, hi, u = 0 } = reading2;
  if (lo !== null && hi !== null) return exactly(shareWithin(lo, hi, limit2, kind));
  const [worst3, best] = kind === "min" ? [lo, hi] : [hi, lo];
  if (worst3 !== null) return { least: probabilityWithin({ value: worst3, u }, limit2, kind), most: 1 };
  const excluded = best !== null && (kind === "min" ? best <= limit2 : best >= limit2);
  return { least: 0, most: excluded ? 0 : 1 };
}
function boundsWithin({ lo, hi }, limit2, kind) {
  const [worst3, best] = kind === "min" ? [lo, hi] : [hi, lo];
  return {
    least: worst3 ? probabilityWithin(worst3, limit2, kind) : 0,
    most: best ? probabilityWithin(best, limit2, kind) : 1
  };
}
function shareWithin(lo, hi, limit2, kind) {
  if (lo === hi) return probabilityWithin({ value: mm(lo), u: 0 }, limit2, kind);
  const above = Math.min(1, Math.max(0, (hi - limit2) / (hi - lo)));
  return kind === "min" ? above : 1 - above;
}
function outcomeOf(probability, inWarningBand = false) {
  if (probability >= SURE) return inWarningBand ? "watch" : "ok";
  return probability <= 1 - SURE + Number.EPSILON ? "fail" : "undecided";
}
function outcomeWithin({ least, most }, inWarningBand = false) {
  if (least >= SURE) return outcomeOf(least, inWarningBand);
  return outcomeOf(most) === "fail" ? "fail" : "undecided";
}

// src/core/families/family.ts
var FAMILY_IDS = ["quarter", "325", "38lp", "38", "404"];
var family = (id, label, pitch, unworn, file, depthGauge, chassis) => ({
  id,
  label,
  pitch: mm(pitch),
  unworn: [mm(unworn[0]), mm(unworn[1])],
  file: mm(file),
  depthGauge: mm(depthGauge),
  chassis
});
var FAMILIES = {
  quarter: family("quarter", "1/4", 6.35, [6.3, 6.4], 4, 0.65, "small"),
  "325": family("325", ".325", 8.25, [8.2, 8.3], 4.8, 0.65, "large"),
  "38lp": family("38lp", "3/8 low profile", 9.32, [9.3, 9.55], 4, 0.65, "small"),
  "38": family("38", "3/8 standard", 9.32, [9.3, 9.55], 5.2, 0.65, "large"),
  "404": family("404", ".404", 10.26, [10.2, 10.32], 5.5, 0.8, "large")
};
var HARVESTER_PITCH = mm(19.05);
var GAUGE_IDS = [".043", ".050", ".058", ".063"];
var gauge = (id, thou, mmLabel) => ({
  id,
  thickness: mm(thou * 25.4 / 1e3),
  mmLabel
});
var GAUGES = {
  ".043": gauge(".043", 43, "1.1"),
  ".050": gauge(".050", 50, "1.3"),
  ".058": gauge(".058", 58, "1.5"),
  ".063": gauge(".063", 63, "1.6")
};
var HARVESTER_GAUGE = mm(2.032);
var GAUGES_OF_FAMILY = {
  quarter: [".043", ".050"],
  "325": [".050", ".058", ".063"],
  "38lp": [".043", ".050"],
  "38": [".050", ".058", ".063"],
  "404": [".058", ".063"]
};
function familyAndGaugeMeet(familyId, gaugeId) {
  return GAUGES_OF_FAMILY[familyId].includes(gaugeId);
}

// src/core/families/pitch-mark.ts
var PITCH_MARKS = [...FAMILY_IDS, "3/8"];

// src/core/nose/readings.ts
var noseReadings = {
  nose: oneOf(["sprocket", "hard"], { idle: goesWith("bar.checks.noseTurns") }),
  noseReplaceable: yesNo({ idle: recorded }),
  nosePort: yesNo({ means: "Has a port to grease the nose through.", idle: recorded }),
  nosePitch: oneOf(PITCH_MARKS, {
    means: "Pitch marked on the nose sprocket or its rivets.",
    step: "identify",
    view: "marks",
    nose: "sprocket"
  }),
  noseTeeth: count(
    { from: 5, to: 20 },
    { step: "identify", view: "marks", nose: "sprocket", idle: goesWith("driveSprocket.teeth", "bar.thickness") }
  )
};
var noseChecks = {
  noseTurns: seen(
    { free: "ok", rough: ["watch", "free-nose"], seized: "fail" },
    { check: "nose.turns", condemns: true, always: true, nose: "sprocket", needed: { by: ["bar", "nose"] } }
  ),
  tipPlay: seen(
    { none: "ok", slight: "watch", loose: "fail" },
    { check: "nose.tip-play", condemns: true, nose: "sprocket" }
  ),
  noseTeeth: seen(
    { good: "ok", worn: "watch", missing: "fail" },
    { check: "nose.teeth", condemns: true, nose: "sprocket" }
  ),
  hardNose: seen(
    { good: "ok", worn: "watch", through: "fail" },
    {
      check: "nose.hard-wear",
      condemns: true,
      means: "Wear of a hard nose: `through` where the hard facing is worn through or chipped.",
      nose: "hard",
      needed: { by: ["nose"] }
    }
  ),
  nosePinch: seen(
    { no: "ok", yes: ["fail", "free-nose"] },
    { check: "nose.pinch", means: "Nose plates pressed together on the sprocket.", nose: "sprocket" }
  ),
  noseDirt: seen(
    { clear: "ok", packed: ["fail", "free-nose"] },
    { check: "nose.dirt", means: "Dirt packed round the nose sprocket.", nose: "sprocket", step: "clean" }
  )
};

// src/core/bar/station-readings.ts
var MARKER = ["near", "far", "both", "none"];
var SQUARE = ["level", "near-high", "far-high"];
var STANDS = ["yes", "near", "far"];
var depth = { kind: "depth", instrument: "depth-rod" };
var width = { kind: "grooveWidth", instrument: "caliper", goNoGo: "tab" };
var isDressed = ({ after: after2 }) => Boolean(after2?.near ?? after2?.far);
var at = (reason) => (around) => reason(around.group, around);
var takenAgain = (field) => at(({ after: after2 }) => after2?.[field] ? measuredAgain : null);
var whenDressed = at((station) => isDressed(station) ? measuredAgain : null);
var withoutLink = ({ hasLink }) => hasLink ? null : goesWith("bar.gauge");
var testOfLevel = at(
  (station) => isDressed(station) ? measuredAgain : station.near || station.far ? null : goesWith("bar.edges.depth")
);
var chip = (rail) => group(
  {
    length: length({ kind: "chip", instrument: "rule" }),
    depth: length({ kind: "smallDefect", instrument: "depth-rod" })
  },
  { means: `Piece broken out of the ${rail} rail.`, idle: whenDressed },
  ["length", "depth"]
);
var burr = (rail) => seen(
  { none: "ok", felt: ["fail", "deburr"], heavy: ["fail", "deburr"] },
  { check: "bar.burr", means: `Wire edge on the outer side of the ${rail} rail.` }
);
var after = group(
  { near: length(depth), far: length(depth), mouth: length(width, { idle: withoutLink }) },
  { means: "The second measurement, after the rework.", step: "rework" }
);
var stationReadings = group(
  {
    at: length({ kind: "station", instrument: "rule" }, { means: "Position along the edge from the tail." }),
    near: length(depth, { means: "Groove depth from the rail on the stamped side.", idle: takenAgain("near") }),
    far: length(depth, { means: "Groove depth from the other rail.", idle: takenAgain("far") }),
    mouth: length(width, {
      means: "Groove width at the rails.",
      needed: {
        by: ["bar"],
        orElse: ["bar.edges.stations.deep", "bar.checks.straightEdge"],
        asks: "bar.edges.mouth"
      },
      idle: at((station, around) => station.after?.mouth ? measuredAgain : withoutLink(around))
    }),
    deep: length(width, {
      means: "Groove width near the floor.",
      idle: at((station, around) => station.after?.mouth || isDressed(station) ? measuredAgain : withoutLink(around))
    }),
    deepAt: length(depth, {
      means: "How far below the rails `deep` was taken.",
      idle: at((station) => {
        if (isDressed(station)) return measuredAgain;
        return station.mouth && station.deep ? goesWith("chain.tang") : goesWith("bar.edges.mouth", "bar.edges.deep");
      })
    }),
    burrNear: burr("near"),
    burrFar: burr("far"),
    chipNear: chip("near"),
    chipFar: chip("far"),
    marker: oneOf(MARKER, {
      means: "Rails that one guided pass touched: the untouched rail is the low one.",
      idle: (around) => around.group.marker === "none" ? recorded : testOfLevel(around)
    }),
    square: oneOf(SQUARE, {
      means: "Square on the rails against the light: level, or which rail is high.",
      idle: testOfLevel
    }),
    leaveLow: yesNo({
      means: "A dip left as it is, because levelling to it would cost the whole edge.",
      step: "rework",
      idle: recorded
    }),
    after,
    note: words(500, { idle: recorded })
  },
  { minutes: 0.5, step: "bar", view: "measure", leads: "near" },
  ["at"]
);
var edgeReadings = () => group(
  {
    stations: orderedList(stationReadings, 60, "at", {
      minutes: 2.5,
      needed: { by: ["bar"], enough: (there) => there.some(({ near, far }) => near && far) }
    }),
    stands: oneOf(STANDS, {
      means: "The clean bar stood on this edge on a flat surface: it stands, or falls to that side.",
      minutes: 0.3,
      idle: ({ group: edge3 }) => edge3.stations?.some(isDressed) ? measuredAgain : goesWith("bar.edges.depth")
    })
  },
  { view: "measure" }
);

// src/core/bar/readings.ts
var BAR_WORK = {
  "clean-rust": { cleans: true, shows: true },
  "clean-oil-holes": { cleans: true, shows: true },
  "rake-groove": { cleans: true, shows: true },
  straighten: {},
  "ease-pinch": { shows: true },
  "dress-rails": {},
  deburr: { shows: true },
  "close-rails": {},
  "free-nose": { cleans: true, shows: true },
  "re-nose": { shows: true },
  "grease-nose": {},
  "turn-over": {}
};
var BAR_OPERATIONS = Object.keys(BAR_WORK);
var checks = group(
  {
    crack: seen(
      { no: "ok", yes: "fail", unsure: "undecided" },
      { check: "bar.crack", condemns: true, always: true, minutes: 1, needed: { by: ["bar"] } }
    ),
    slot: seen({ ok: "ok", worn: "watch", wallowed: "fail" }, { check: "bar.slot", condemns: true, always: true }),
    bow: length(
      { kind: "smallDefect", instrument: "feeler" },
      { means: "Largest gap under a straight edge along the side.", minutes: 1, needed: { by: ["bar"] } }
    ),
    twist: seen({ none: "ok", slight: ["watch", "straighten"], plain: "fail" }, { check: "bar.twist", condemns: true }),
    holes: seen(
      { ok: "ok", worn: "watch", torn: "fail" },
      { check: "bar.holes", condemns: true, means: "Tensioner hole." }
    ),
    oilHoles: seen({ clear: "ok", blocked: ["fail", "clean-oil-holes"] }, { check: "bar.oil-holes", always: true }),
    groove: seen({ clean: "ok", packed: ["fail", "rake-groove"] }, { check: "bar.groove", always: true }),
    blueing: seen({ no: "ok", light: "watch", heavy: "watch" }, { check: "bar.blueing", always: true, together: true }),
    dents: seen({ none: "ok", light: "ok", deep: "watch" }, { check: "bar.dents" }),
    tailErosion: seen(
      { none: "ok", slight: "watch", deep: "watch" },
      { check: "bar.tail", means: "Where a slack chain hammers the tail." }
    ),
    ruts: seen(
      { none: "ok", slight: "watch", deep: ["fail", "dress-rails"] },
      { check: "bar.ruts", means: "Secondary ruts worn into the rail tops." }
    ),
    grooveShape: seen(
      { even: "ok", pinched: ["fail", "ease-pinch"], splayed: "watch" },
      { check: "bar.groove-shape", together: true }
    ),
    rust: seen(
      { none: "ok", surface: ["fail", "clean-rust"], pitted: ["fail", "dress-rails"] },
      { check: "bar.rust", means: "Surface rust is cleaned off; pitted rail tops are dressed. Rust condemns nothing." }
    ),
    resin: seen(
      { none: "ok", soft: "ok", baked: "watch" },
      { check: "bar.resin", means: "Baked resin means that it ran hot.", step: "clean" }
    ),
    barePaint: oneOf(["seen"], { means: "Recorded, and means nothing.", idle: recorded }),
    ...noseChecks,
    straightEdge: seen(
      { "gap-stays": "ok", "gap-closes": "fail", "passes-beyond": "fail" },
      {
        check: "bar.straight-edge",
        condemns: true,
        always: true,
        together: true,
        means: "Rule against bar side and cutter, cutter pushed over."
      }
    )
  },
  { view: "look" }
);
var EDGE = ["A", "B"];
var barReadings = group(
  {
    stamp: words(200, {
      means: "As punched near the tail.",
      step: "identify",
      view: "marks",
      idle: goesWith("bar.pitch", "bar.gauge")
    }),
    edgeDown: oneOf(EDGE, {
      means: "The edge that was down on the saw as it came.",
      step: "strip",
      idle: goesWith("saw.turnLog")
    }),
    edgeDownNow: oneOf(EDGE, {
      means: "The edge that is down as it goes back.",
      step: "rework",
      idle: recorded
    }),
    construction: oneOf(["laminated", "solid"], { idle: recorded }),
    ...noseReadings,
    mount: words(40),
    oilHole: words(40, { means: "The shop's name for the oil-hole pattern." }),
    groove: length(
      { kind: "grooveWidth", instrument: "caliper", goNoGo: "tab" },
      {
        means: "Groove width near the floor at a little-worn place, by caliper or by tabs.",
        step: "identify",
        view: "gauge"
      }
    ),
    listedLength: length(
      { kind: "barLength", instrument: "rule" },
      { means: "As sold or as the customer calls it.", step: "identify", view: "loop" }
    ),
    thickness: length(
      { kind: "barThickness", instrument: "caliper" },
      { idle: goesWith("chain.kerf", "chain.tipHeight", "bar.edges.mouth") }
    ),
    bodyHeight: length({ kind: "bodyHeight", instrument: "caliper" }, { idle: goesWith("bar.edges.depth") }),
    effectiveLength: length(
      { kind: "barLength", instrument: "rule" },
      { means: "Front of the side cover to the tip, chain tensioned.", step: "identify", view: "loop" }
    ),
    reach: length(
      { kind: "barLength", instrument: "rule" },
      { means: "True cutting length: furthest part of case or spikes to the tip.", step: "identify", view: "loop" }
    ),
    overallLength: length(
      { kind: "barLength", instrument: "rule" },
      { means: "Tail to tip, off the saw: the measure that stations run along.", idle: goesWith("bar.edges.depth") }
    ),
    reworkDone: someOf(BAR_OPERATIONS, { step: "rework", idle: recorded }),
    checks,
    edges: group({ A: edgeReadings(), B: edgeReadings() })
  },
  { step: "bar", view: "look", minutes: 0.5 }
);

// src/core/bar/rock.ts
function engagement(tang, depth2) {
  return mm(Math.min(tang, depth2));
}
function widthAt({ mouth, deep, deepAt }, depth2) {
  if (deep === null || deepAt === null || deepAt <= 0) return mouth;
  return depth2 >= deepAt ? deep : mm(mouth + (deep - mouth) * depth2 / deepAt);
}
function deepShare({ deep, deepAt }, engaged) {
  if (deep === null) return 0;
  if (deepAt === null || deepAt <= 0 || engaged === null || engaged >= deepAt) return 1 / 2;
  return engaged / deepAt / 2;
}
function rockingWidth(groove, engaged) {
  const share2 = deepShare(groove, engaged);
  return mm(groove.mouth * (1 - share2) + (groove.deep ?? groove.mouth) * share2);
}
function rock(width2, thickness, engaged) {
  if (width2 <= thickness) return degrees(0);
  const diagonal = Math.hypot(engaged, thickness);
  return degrees(Math.atan2(engaged, thickness) - Math.acos(Math.min(1, width2 / diagonal)));
}
var GAP_UNSEEN = 0.05;
function overhang({ kerf, barThickness }) {
  return (kerf - barThickness) / 2;
}
function predictStraightEdge(rocking, cutter) {
  const left = overhang(cutter) - cutter.tipHeight * Math.sin(toRadians(rocking));
  if (left > GAP_UNSEEN) return "gap-stays";
  return left >= -GAP_UNSEEN ? "gap-closes" : "passes-beyond";
}
function derivedPlayLimit(cutter, thickness, engaged) {
  const side = overhang(cutter);
  if (side <= 0 || side >= cutter.tipHeight) return null;
  const lean = Math.asin(side / cutter.tipHeight);
  return { play: mm(thickness * Math.cos(lean) + engaged * Math.sin(lean) - thickness), lean: degrees(lean) };
}

// src/core/bar/station.ts
var EDGES = ["A", "B"];
var RAILS = ["near", "far"];
function worst(reading2) {
  const { lo, hi } = boundsOf(reading2);
  return (hi ?? lo).value;
}
function chipOf(chip2) {
  return chip2 ? { length: worst(chip2.length), depth: worst(chip2.depth) } : null;
}
var estimated = (reading2) => reading2 ? estimate(reading2) : null;
var oneSided = (reading2) => reading2?.kind === "bounded" && (reading2.lo === null || reading2.hi === null) ? reading2 : null;
var placed = (depth2) => depth2 !== null && depth2 > 0 ? mm(depth2) : null;
function depths(near, far) {
  return {
    near: estimated(near),
    far: estimated(far),
    oneSided: { near: oneSided(near), far: oneSided(far) }
  };
}
function secondMeasurement({ after: after2 }) {
  const { near = null, far = null, mouth = null } = after2 ?? {};
  return near || far || mouth ? { near, far, mouth } : null;
}
function stationsOf(bar, edge3) {
  return (bar?.edges?.[edge3]?.stations ?? []).map((station, index) => ({
    index,
    at: estimate(station.at)?.value ?? worst(station.at),
    ...depths(station.near, station.far),
    mouth: estimated(station.mouth),
    deep: estimated(station.deep),
    widths: {
      mouth: station.mouth ? boundsOf(station.mouth) : null,
      deep: station.deep ? boundsOf(station.deep) : null
    },
    deepAt: placed(station.deepAt ? worst(station.deepAt) : null),
    chips: { near: chipOf(station.chipNear), far: chipOf(station.chipFar) },
    marker: station.marker ?? null,
    square: station.square ?? null,
    leaveLow: station.leaveLow ?? false,
    after: secondMeasurement(station)
  }));
}
function grooveOf({ mouth, deep, deepAt }) {
  return mouth ? { mouth: mouth.value, deep: deep?.value ?? null, deepAt } : null;
}
function step({ near, far }) {
  return near && far ? difference(near, far) : null;
}
function leastDepth({ near, far }) {
  if (near && far) return near.value <= far.value ? near : far;
  return near ?? far;
}
function engagedAt(station, tang) {
  if (!tang) return null;
  const least = leastDepth(station);
  const engaged = least ? engagement(tang.value, least.value) : tang.value;
  return engaged > 0 ? engaged : null;
}
function chippedDepth({ near, far, chips }, leftUpTo) {
  const bottom = (rail, chip2) => rail && chip2 && chip2.length > leftUpTo ? [rail.value - chip2.depth] : [];
  const bottoms = [...bottom(near, chips.near), ...bottom(far, chips.far)];
  return bottoms.length === 0 ? null : Math.min(...bottoms);
}
var measuredAgainAt = ({ after: after2 }) => after2 !== null;
function metalOff(before, now) {
  const [first, second] = [leastDepth(before), leastDepth(now)];
  return first && second ? Math.max(0, first.value - second.value) : 0;
}
function chipAfter(chip2, off2) {
  if (!chip2 || off2 === 0) return chip2;
  return chip2.depth > off2 ? { ...chip2, depth: chip2.depth - off2 } : null;
}
function standingStation(station) {
  const { after: after2, widths } = station;
  if (!after2) return station;
  const { near, far, mouth } = after2;
  const first = (rail) => ({ estimate: station[rail], mark: station.oneSided[rail] });
  const now = (reading2, rail) => reading2 ? { estimate: estimated(reading2), mark: oneSided(reading2) } : first(rail);
  const [nearNow, farNow] = [now(near, "near"), now(far, "far")];
  const rails = { near: nearNow.estimate, far: farNow.estimate };
  const off2 = metalOff(station, rails);
  const dressed = near !== null || far !== null;
  return {
    ...station,
    ...rails,
    oneSided: { near: nearNow.mark, far: farNow.mark },
    mouth: mouth ? estimated(mouth) : station.mouth,
    widths: { mouth: mouth ? boundsOf(mouth) : widths.mouth, deep: widths.deep },
    // The reading near the floor stays where it was: the rails came down toward it.
    deepAt: placed(station.deepAt === null ? null : station.deepAt - off2),
    chips: { near: chipAfter(station.chips.near, off2), far: chipAfter(station.chips.far, off2) },
    marker: dressed ? null : station.marker,
    square: dressed ? null : station.square
  };
}

// src/core/bar/play.ts
function mixed(mouth, deep, share2) {
  const value2 = mm(mouth.value * (1 - share2) + deep.value * share2);
  const own = (a, part6) => part6 * (sameTool(mouth, deep) ? ownUncertainty(a) : a.u);
  const u = quadrature(own(mouth, 1 - share2), own(deep, share2));
  if (!sameTool(mouth, deep)) return { value: value2, u };
  const shared = mouth.shared ?? 0;
  return { value: value2, u: quadrature(u, shared), shared, tool: mouth.tool };
}
function rockingBounds(station, tang) {
  const { deepAt } = station;
  const { mouth, deep } = station.widths;
  const engaged = engagedAt(station, tang);
  const share2 = deepShare({ deep: deep?.lo?.value ?? deep?.hi?.value ?? null, deepAt }, engaged);
  if (mouth?.lo && mouth.lo === mouth.hi && deep?.lo && deep.lo === deep.hi) {
    const width2 = mixed(mouth.lo, deep.lo, share2);
    return { lo: width2, hi: width2 };
  }
  return {
    lo: deep?.lo ? mouth?.lo ? mixed(mouth.lo, deep.lo, share2) : deep.lo : null,
    hi: mouth?.hi ? deep?.hi ? mixed(mouth.hi, deep.hi, share2) : mouth.hi : null
  };
}
function playBounds(station, tang, link) {
  const { lo, hi } = rockingBounds(station, tang);
  return { lo: lo && difference(lo, link), hi: hi && difference(hi, link) };
}

// src/core/bar/figures.ts
function rawLean(stepHeight, barThickness, newGroove) {
  return degrees(Math.atan(stepHeight / ((barThickness + newGroove) / 2)));
}
function setLean(raw, rocking) {
  return Math.max(-rocking, Math.min(rocking, raw));
}
function floorClearance(least, tang) {
  return difference(least, tang);
}
function stationFigures(station, setting) {
  const height = step(station);
  const least = leastDepth(station);
  const raw = height && setting.barThickness !== null && setting.newGroove !== null ? rawLean(height.value, setting.barThickness, setting.newGroove) : null;
  const rocking = rockOf(station, setting);
  const link = setting.ownLink ?? setting.linkThickness;
  const play = link && playBounds(station, setting.tang, link);
  return {
    step: height,
    rawLean: raw,
    rock: rocking,
    setLean: raw !== null && rocking !== null ? setLean(raw, rocking) : null,
    play: play?.hi ?? null,
    playAtLeast: play?.lo ?? null,
    floorClearance: least && setting.tang ? floorClearance(least, setting.tang) : null
  };
}
function rockOf(station, { tang, linkThickness: linkThickness2 }) {
  const engaged = engagedAt(station, tang);
  const groove = grooveOf(station);
  if (!engaged || !groove || !linkThickness2) return null;
  return rock(rockingWidth(groove, engaged), linkThickness2.value, engaged);
}

// src/core/bar/level-tests.ts
var LEVEL_TEST_POWER = {
  square: { level: { value: 0, u: 0.04 }, unlevel: { value: 0.17, u: 0.09 } },
  marker: { level: { value: 0, u: 0.05 }, unlevel: { value: 0.14, u: 0.09 } },
  stands: { level: { value: 0, u: 0.06 }, unlevel: { value: 0.16, u: 0.09 } }
};
var signed = ({ value: value2, u }, high) => ({
  value: high === "near" ? value2 : -value2,
  u
});
function squareSays({ square }) {
  if (square === null) return null;
  const { level, unlevel } = LEVEL_TEST_POWER.square;
  return square === "level" ? level : signed(unlevel, square === "near-high" ? "near" : "far");
}
function markerSaysStep({ marker }) {
  if (marker === null || marker === "none") return null;
  const { level, unlevel } = LEVEL_TEST_POWER.marker;
  return marker === "both" ? level : signed(unlevel, marker);
}
function standsSays(stands) {
  if (stands === null) return null;
  const { level, unlevel } = LEVEL_TEST_POWER.stands;
  return stands === "yes" ? level : signed(unlevel, stands === "near" ? "far" : "near");
}
var DISAGREES_BEYOND = 2.5;
function contradictsStep(said, measured2) {
  if (!measured2) return false;
  const apart2 = Math.abs(said.value - measured2.value);
  const sameSide = said.value !== 0 && Math.sign(said.value) === Math.sign(measured2.value);
  return !sameSide && apart2 > DISAGREES_BEYOND * Math.hypot(said.u, measured2.u);
}
function testDisagrees(said, measured2) {
  if (!said || !measured2) return null;
  if (contradictsStep(said, measured2)) return true;
  const seen2 = Math.abs(measured2.value) > Math.max(TEST_BLIND_BELOW, 2 * measured2.u);
  return said.value === 0 || seen2 ? false : null;
}
var TEST_BLIND_BELOW = 0.05;

// src/core/belief/matrix.ts
var LEAST_VARIANCE = 1e-12;
function factorise(a, size) {
  for (let j = 0; j < size; j += 1) {
    const row = j * size;
    let diagonal = a[row + j];
    for (let k = 0; k < j; k += 1) diagonal -= a[row + k] * a[row + k];
    const root = Math.sqrt(Math.max(diagonal, LEAST_VARIANCE));
    a[row + j] = root;
    for (let i = j + 1; i < size; i += 1) {
      const other = i * size;
      let sum = a[other + j];
      for (let k = 0; k < j; k += 1) sum -= a[other + k] * a[row + k];
      a[other + j] = sum / root;
    }
  }
  return a;
}
function solveLower(factor, size, column) {
  for (let i = 0; i < size; i += 1) {
    let sum = column[i];
    for (let k = 0; k < i; k += 1) sum -= factor[i * size + k] * column[k];
    column[i] = sum / factor[i * size + i];
  }
  return column;
}

// src/core/belief/profile.ts
var REACH = 80;
var SHORT_REACH = 14;
var SHORT_SHARE = 0.12;
function matern(distance2, reach) {
  const x = Math.sqrt(3) * distance2 / reach;
  return (1 + x) * Math.exp(-x);
}
function correlation(distance2) {
  return (1 - SHORT_SHARE) * matern(distance2, REACH) + SHORT_SHARE * matern(distance2, SHORT_REACH);
}
var NEGLIGIBLE = 0.03;
function correlations(a, b) {
  const table = new Float64Array(a.length * b.length);
  const isSame2 = a === b;
  for (let i = 0; i < a.length; i += 1)
    for (let j = isSame2 ? i : 0; j < b.length; j += 1) {
      const value2 = correlation(Math.abs(a[i] - b[j]));
      table[i * b.length + j] = value2;
      if (isSame2) table[j * b.length + i] = value2;
    }
  return table;
}
function layoutOf(ats, places) {
  if (ats.length === places.length && ats.every((at2, i) => at2 === places[i])) {
    const all = correlations(ats, ats);
    return { ats, places, between: all, across: all, within: all };
  }
  return {
    ats,
    places,
    between: correlations(ats, ats),
    across: correlations(ats, places),
    within: correlations(places, places)
  };
}
function wayOf(made2, variances, { between: between2 }) {
  const n = variances.length;
  const level = made2.levelSpread ** 2;
  const scale = made2.scale ** 2;
  const factor = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    const row = i * n;
    for (let j = 0; j <= i; j += 1) factor[row + j] = level + scale * between2[row + j];
    factor[row + i] = factor[row + i] + variances[i];
  }
  factorise(factor, n);
  let logWeight = Math.log(made2.weight);
  let volume = 1;
  for (let k = 0; k < n; k += 1) {
    volume *= factor[k * n + k];
    if (k % 16 === 15 || k === n - 1) {
      logWeight -= Math.log(volume);
      volume = 1;
    }
  }
  return { made: made2, factor, logWeight, prediction: null };
}
function designOf(variances, layout, prior) {
  return { layout, variances, prior, ways: prior.makes.map((made2) => wayOf(made2, variances, layout)) };
}
var isSame = (a, b) => {
  for (let i = 0; i < a.length; i += 1) if (a[i] !== b[i]) return false;
  return a.length === b.length;
};
function designsOfSheet() {
  const layouts = [];
  const designs = [];
  const layoutFor = (ats, places) => {
    const known = layouts.find((layout2) => isSame(layout2.ats, ats) && isSame(layout2.places, places));
    if (known) return known;
    const layout = layoutOf(ats, places);
    layouts.push(layout);
    return layout;
  };
  return (variances, ats, places, prior) => {
    const layout = layoutFor(ats, places);
    const known = designs.find(
      (design2) => design2.layout === layout && design2.prior === prior && isSame(design2.variances, variances)
    );
    if (known) return known;
    const design = designOf(variances, layout, prior);
    designs.push(design);
    return design;
  };
}
function predict({ factor, made: made2 }, layout) {
  const n = layout.ats.length;
  const m = layout.places.length;
  const level = made2.levelSpread ** 2;
  const scale = made2.scale ** 2;
  const solved = new Float64Array(n * m);
  const covariance = new Float64Array(m * m);
  for (let j = 0; j < m; j += 1) {
    const column = j * n;
    for (let k = 0; k < n; k += 1) {
      let rest = level + scale * layout.across[k * m + j];
      const row = k * n;
      for (let l = 0; l < k; l += 1) rest -= factor[row + l] * solved[column + l];
      solved[column + k] = rest / factor[row + k];
    }
    for (let i = 0; i <= j; i += 1) {
      let left = level + scale * layout.within[j * m + i];
      const other = i * n;
      for (let k = 0; k < n; k += 1) left -= solved[column + k] * solved[other + k];
      covariance[j * m + i] = left;
    }
  }
  return { solved, factor: factorise(covariance, m) };
}
function componentOf(way, layout, residual, centre, weight) {
  way.prediction ??= predict(way, layout);
  const { solved, factor } = way.prediction;
  const n = residual.length;
  const mean3 = new Float64Array(layout.places.length);
  for (let j = 0; j < mean3.length; j += 1) {
    let sum = centre;
    for (let k = 0; k < n; k += 1) sum += solved[j * n + k] * residual[k];
    mean3[j] = sum;
  }
  return { made: way.made, weight, mean: mean3, factor };
}
function believedBy({ layout, prior, ways }, values) {
  const n = values.length;
  const centre = prior.level ?? values.reduce((sum, value2) => sum + value2, 0) / n;
  const off2 = Float64Array.from(values, (value2) => value2 - centre);
  const residuals = ways.map(({ factor }) => solveLower(factor, n, off2.slice()));
  const fitness = ways.map(({ logWeight }, i) => {
    let sum = logWeight;
    for (const each of residuals[i]) sum -= each * each / 2;
    return sum;
  });
  const best = Math.max(...fitness);
  const raw = fitness.map((each) => Math.exp(each - best));
  const total = raw.reduce((sum, each) => sum + each, 0);
  const kept = raw.map((each) => each / total >= NEGLIGIBLE ? each : 0);
  const left = kept.reduce((sum, each) => sum + each, 0);
  return {
    places: layout.places,
    components: ways.flatMap(
      (way, i) => kept[i] > 0 ? [componentOf(way, layout, residuals[i], centre, kept[i] / left)] : []
    )
  };
}
function believedAlong(designs, sightings, places, prior) {
  const variances = Float64Array.from(sightings, ({ variance }) => variance);
  const ats = sightings.map(({ at: at2 }) => at2);
  return believedBy(
    designs(variances, ats, places, prior),
    sightings.map(({ value: value2 }) => value2)
  );
}
function believedAt({ components, places }, j) {
  const m = places.length;
  let mean3 = 0;
  let square = 0;
  for (const { weight, mean: means, factor } of components) {
    let variance = 0;
    for (let k = 0; k <= j; k += 1) variance += factor[j * m + k] * factor[j * m + k];
    mean3 += weight * means[j];
    square += weight * (variance + means[j] ** 2);
  }
  return { mean: mean3, u: Math.sqrt(Math.max(0, square - mean3 ** 2)) };
}

// src/core/belief/pair.ts
var covarianceOf = ({ levelSpread, scale }, distance2) => levelSpread ** 2 + scale ** 2 * correlation(distance2);
function between(sightings, { first, second }) {
  const n = sightings.length;
  const matrix = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    const a = sightings[i];
    for (let j = 0; j <= i; j += 1) {
      const b = sightings[j];
      const apart2 = Math.abs(a.at - b.at);
      matrix[i * n + j] = a.first * b.first * covarianceOf(first, apart2) + a.second * b.second * covarianceOf(second, apart2);
    }
    matrix[i * n + i] = matrix[i * n + i] + a.variance;
  }
  return matrix;
}
function predict2(sightings, places, make2, factor, residual, centre) {
  const [n, size] = [sightings.length, places.length];
  const solved = [];
  const mean3 = new Float64Array(2 * size);
  const covariance = new Float64Array(4 * size * size);
  for (let k = 0; k < 2 * size; k += 1) {
    const isFirst = k < size;
    const at2 = places[k % size];
    const own = isFirst ? make2.first : make2.second;
    const column = Float64Array.from(sightings, (each) => {
      return (isFirst ? each.first : each.second) * covarianceOf(own, Math.abs(each.at - at2));
    });
    solveLower(factor, n, column);
    solved.push(column);
    mean3[k] = (isFirst ? centre : 0) + column.reduce((sum, each, i) => sum + each * residual[i], 0);
    for (let l = 0; l <= k; l += 1) {
      const isAlike = l < size === isFirst;
      const prior = isAlike ? covarianceOf(own, Math.abs(places[l % size] - at2)) : 0;
      const other = solved[l];
      covariance[k * 2 * size + l] = column.reduce((left, each, i) => left - each * other[i], prior);
    }
  }
  return { mean: mean3, factor: factorise(covariance, 2 * size) };
}
function pairBelief(sightings, places, makes2, centre) {
  const fits2 = makes2.map((make2) => {
    const n = sightings.length;
    const factor = factorise(between(sightings, make2), n);
    const values = Float64Array.from(sightings, ({ value: value2, first }) => value2 - first * centre);
    const residual = solveLower(factor, n, values);
    let fitness = Math.log(make2.weight);
    for (let i = 0; i < n; i += 1) fitness -= Math.log(factor[i * n + i]) + residual[i] * residual[i] / 2;
    return { make: make2, factor, residual, fitness };
  });
  const best = Math.max(...fits2.map(({ fitness }) => fitness));
  const shares = fits2.map(({ fitness }) => Math.exp(fitness - best));
  const all = shares.reduce((sum, each) => sum + each, 0);
  const kept = shares.map((share2) => share2 / all >= NEGLIGIBLE2 ? share2 : 0);
  const left = kept.reduce((sum, each) => sum + each, 0);
  return fits2.flatMap(
    ({ make: make2, factor, residual }, i) => kept[i] > 0 ? [{ weight: kept[i] / left, ...predict2(sightings, places, make2, factor, residual, centre) }] : []
  );
}
var NEGLIGIBLE2 = 0.03;

// src/core/belief/normal-points.ts
function evenly(seed) {
  let state = seed;
  return () => {
    state = state + 1831565813 | 0;
    let mixed2 = Math.imul(state ^ state >>> 15, 1 | state);
    mixed2 = mixed2 + Math.imul(mixed2 ^ mixed2 >>> 7, 61 | mixed2) ^ mixed2;
    return ((mixed2 ^ mixed2 >>> 14) >>> 0) / 4294967296;
  };
}
var SEED = 1959;
var ROWS = 64;
var CHUNK = 128;
var next = evenly(SEED);
var rows = Array.from({ length: ROWS }, () => new Float64Array(0));
function makeColumn() {
  const column = new Float64Array(ROWS);
  let square = 0;
  for (let row = 0; row < ROWS; row += 2) {
    const radius = Math.sqrt(-2 * Math.log(1 - next()));
    const angle = 2 * Math.PI * next();
    column[row] = radius * Math.cos(angle);
    column[row + 1] = radius * Math.sin(angle);
    square += radius * radius;
  }
  const scale = Math.sqrt(ROWS / square);
  return column.map((point) => scale * point);
}
function grow(columns) {
  const before = rows[0].length;
  const after2 = CHUNK * Math.ceil(columns / CHUNK);
  const made2 = Array.from({ length: after2 - before }, makeColumn);
  rows = rows.map((row, i) => {
    const longer = new Float64Array(after2);
    longer.set(row);
    made2.forEach((column, j) => longer[before + j] = column[i]);
    return longer;
  });
}
function normalPoints(columns) {
  if (rows[0].length < columns) grow(columns);
  return rows;
}

// src/core/belief/dip.ts
var DIP_CHANCE = 1e-3;
var DIP_DEPTH = 0.2;
function dipChance(sighting, mean3, variance) {
  const own = sighting.variance;
  const precision = 1 / variance - 1 / own;
  if (precision <= 1 / NOTHING_KNOWN) return 0;
  const others = (mean3 / variance - sighting.value / own) / precision;
  const spread = Math.sqrt(1 / precision + own);
  const below = sighting.value - others;
  if (below >= 0) return 0;
  const level = normalPdf(below / spread) / spread;
  const tilt = below / DIP_DEPTH + spread ** 2 / (2 * DIP_DEPTH ** 2);
  const dipped = Math.exp(tilt) * normalCdf(-below / spread - spread / DIP_DEPTH) / DIP_DEPTH;
  const odds = DIP_CHANCE * dipped / ((1 - DIP_CHANCE) * level + Number.MIN_VALUE);
  return odds / (1 + odds);
}
var NOTHING_KNOWN = 1;

// src/core/belief/least.ts
var CLOSE_ROWS = ROWS;
var CLEAR_ROWS = 16;
var DRAWS_PER_ROW = 4;
var SPREADS = [0.6180339887498949, 0.7548776662466927, 0.5698402909980532];
function pick(components, share2) {
  let sum = 0;
  for (const component of components) {
    sum += component.weight;
    if (share2 < sum) return component;
  }
  return components.at(-1);
}
function deviate({ factor }, points, from, into) {
  const size = into.length;
  for (let j = 0; j < size; j += 1) {
    let sum = 0;
    const row = j * size;
    for (let k = 0; k <= j; k += 1) sum += factor[row + k] * points[from + k];
    into[j] = sum;
  }
}
function heldBetween(value2, [lo, hi]) {
  const u = (hi - lo) / Math.sqrt(12);
  return u === 0 ? lo : lo + (hi - lo) * normalCdf((value2 - (lo + hi) / 2) / u);
}
var NOTHING_LEFT = 8;
function leastWithin({ draws, common }, limit2) {
  let sum = 0;
  for (let i = 0; i < draws.length; i += 1) {
    const margin = draws[i] - limit2;
    if (margin > NOTHING_LEFT * common) sum += 1;
    else if (margin >= -NOTHING_LEFT * common) sum += common === 0 ? 1 : normalCdf(margin / common);
  }
  return sum / draws.length;
}
var CLEARLY = 5;
function isClear(least, levels) {
  const { value: value2, u } = leastValue(least);
  return levels.every((level) => Math.abs(value2 - level) > CLEARLY * u + CLEARLY / 100);
}
function leastValue({ draws, common }) {
  let sum = 0;
  let square = 0;
  for (let i = 0; i < draws.length; i += 1) {
    sum += draws[i];
    square += draws[i] * draws[i];
  }
  const mean3 = sum / draws.length;
  return { value: mm(mean3), u: Math.sqrt(Math.max(0, square / draws.length - mean3 ** 2) + common ** 2) };
}
var QUANTILES = [-1.87, -1.23, -0.84, -0.53, -0.26, 0, 0.26, 0.53, 0.84, 1.23, 1.87];
function leastAbout({ value: value2, u }, common) {
  return { draws: Float64Array.from(QUANTILES, (quantile) => value2 + u * quantile), common };
}
function lesser(a, b) {
  return { draws: a.draws.map((draw, i) => Math.min(draw, b.draws[i])), common: Math.max(a.common, b.common) };
}
function leastAlong({ components, places }, common, held, offset, rows2) {
  const size = places.length;
  const points = normalPoints(offset + 2 * size);
  const draws = new Float64Array(DRAWS_PER_ROW * rows2);
  const deviation = new Float64Array(size);
  const isHeld = held.size > 0;
  for (let half = 0; half < 2 * rows2; half += 1) {
    const component = pick(components, (half + 0.5) * SPREADS[0] % 1);
    const { mean: mean3 } = component;
    deviate(component, points[half >> 1], offset + half % 2 * size, deviation);
    for (let turn = 0; turn < 2; turn += 1) {
      let lowest = Infinity;
      for (let j = 0; j < size; j += 1) {
        const drawn = turn === 0 ? mean3[j] + deviation[j] : mean3[j] - deviation[j];
        const marks = isHeld ? held.get(j) : void 0;
        const value2 = marks ? heldBetween(drawn, marks) : drawn;
        if (value2 < lowest) lowest = value2;
      }
      draws[2 * half + turn] = lowest;
    }
  }
  return { draws, common };
}

// src/core/belief/many.ts
var SPREADS2 = [
  [0.02, 1],
  [0.05, 1],
  [0.1, 1],
  [0.2, 1],
  [0.4, 0.5],
  [0.8, 0.25]
];
var ENOUGH = 4;
function believedAlike(readings) {
  if (readings.length < ENOUGH) return readings;
  const fits2 = SPREADS2.map(([spread, prior]) => {
    const weights = readings.map(({ own }) => 1 / (own ** 2 + spread ** 2));
    const total = weights.reduce((sum, each) => sum + each, 0);
    const centre = readings.reduce((sum, { value: value2 }, i) => sum + weights[i] * value2, 0) / total;
    const fitness = readings.reduce(
      (sum, { value: value2 }, i) => sum + (Math.log(weights[i]) - weights[i] * (value2 - centre) ** 2) / 2,
      Math.log(prior) - Math.log(total) / 2
    );
    return { spread, centre, total, fitness };
  });
  const best = Math.max(...fits2.map(({ fitness }) => fitness));
  const shares = fits2.map(({ fitness }) => Math.exp(fitness - best));
  const all = shares.reduce((sum, each) => sum + each, 0);
  return readings.map(({ value: value2, own }) => {
    let mean3 = 0;
    let square = 0;
    fits2.forEach(({ spread, centre, total }, i) => {
      const toward = own ** 2 / (own ** 2 + spread ** 2);
      const at2 = value2 + toward * (centre - value2);
      const variance = toward * spread ** 2 + toward ** 2 / total;
      mean3 += shares[i] / all * at2;
      square += shares[i] / all * (variance + at2 ** 2);
    });
    return { value: mean3, own: Math.sqrt(Math.max(0, square - mean3 ** 2)) };
  });
}
var HERMITE = [
  [0, 0.7202352156060511],
  [0.7235510187528376, 0.4326515590025558],
  [1.468553289216668, 0.08847452739437657],
  [2.266580584531843, 0.004943624275536947],
  [3.190993201781528, 3960697726326438e-20]
];
var NODES = HERMITE.flatMap(([x, w]) => {
  const scaled2 = w / Math.sqrt(Math.PI);
  const node = Math.SQRT2 * x;
  return x === 0 ? [[0, scaled2]] : [
    [node, scaled2],
    [-node, scaled2]
  ];
});
var phi = (margin, u) => u === 0 ? Number(margin >= 0) : normalCdf(margin / u);
var allAbove = (pieces, limit2) => pieces.reduce((chance, { value: value2, own }) => chance === 0 ? 0 : chance * phi(value2 - limit2, own), 1);
function manyWithin(pieces, common, limit2) {
  const [only] = pieces;
  if (pieces.length === 1 && only) return phi(only.value - limit2, quadrature(only.own, common));
  if (common === 0) return allAbove(pieces, limit2);
  return NODES.reduce((sum, [node, weight]) => sum + weight * allAbove(pieces, limit2 - common * node), 0);
}
function lesserOfTwo(a, b) {
  const spread = quadrature(a.own, b.own);
  if (spread === 0) return a.value <= b.value ? a : b;
  const alpha = (b.value - a.value) / spread;
  const [first, second, bend] = [normalCdf(alpha), normalCdf(-alpha), normalPdf(alpha)];
  const mean3 = a.value * first + b.value * second - spread * bend;
  const square = (a.value ** 2 + a.own ** 2) * first + (b.value ** 2 + b.own ** 2) * second - (a.value + b.value) * spread * bend;
  return { value: mean3, own: Math.sqrt(Math.max(0, square - mean3 ** 2)) };
}
function shortestOf(pieces, common) {
  const [first, ...rest] = [...pieces].sort((a, b) => a.value - b.value);
  if (!first) return null;
  const least = rest.reduce(lesserOfTwo, first);
  return { value: mm(least.value), u: quadrature(least.own, common) };
}

// src/core/bar/edge-draws.ts
var LENGTH_THAT_MATTERS = 30;
function lowerHeld(mean3, lean, { near, far }) {
  const [a, b] = [mean3 + lean / 2, mean3 - lean / 2];
  return Math.min(near ? heldBetween(a, near) : a, far ? heldBetween(b, far) : b);
}
function stretches(places) {
  const last = places.length - 1;
  const lengths = new Float64Array(places.length);
  for (let j = 0; j <= last; j += 1) lengths[j] = (places[Math.min(last, j + 1)] - places[Math.max(0, j - 1)]) / 2;
  if (last === 0) lengths[0] = LENGTH_THAT_MATTERS;
  return lengths;
}
function drawRow({ depths: depths2, leans }, { up, lift, across }, lengths, stepLimit, { lowest, unlevel }) {
  let low0 = Infinity;
  let low1 = Infinity;
  let low2 = Infinity;
  let low3 = Infinity;
  let out0 = 0;
  let out1 = 0;
  let out2 = 0;
  let out3 = 0;
  for (let j = 0; j < depths2.length; j += 1) {
    const high = depths2[j] + up[j];
    const low = depths2[j] - up[j];
    const with_ = leans[j] + lift[j];
    const against = leans[j] - lift[j];
    const turned = across[j];
    const lean0 = Math.abs(with_ + turned);
    const lean1 = Math.abs(against + turned);
    const lean2 = Math.abs(with_ - turned);
    const lean3 = Math.abs(against - turned);
    low0 = Math.min(low0, high - lean0 / 2);
    low1 = Math.min(low1, low - lean1 / 2);
    low2 = Math.min(low2, high - lean2 / 2);
    low3 = Math.min(low3, low - lean3 / 2);
    const length2 = lengths[j];
    if (lean0 > stepLimit) out0 += length2;
    if (lean1 > stepLimit) out1 += length2;
    if (lean2 > stepLimit) out2 += length2;
    if (lean3 > stepLimit) out3 += length2;
  }
  lowest[0] = low0;
  lowest[1] = low1;
  lowest[2] = low2;
  lowest[3] = low3;
  unlevel[0] = out0;
  unlevel[1] = out1;
  unlevel[2] = out2;
  unlevel[3] = out3;
}
function lowestHeld({ depths: depths2, leans }, { up, lift, across }, held, lowest) {
  for (let turn = 0; turn < DRAWS_PER_ROW; turn += 1) {
    const heave = turn % 2 === 0 ? 1 : -1;
    const tilt = turn < 2 ? 1 : -1;
    let least = Infinity;
    for (let j = 0; j < depths2.length; j += 1) {
      const mean3 = depths2[j] + heave * up[j];
      const lean = leans[j] + heave * lift[j] + tilt * across[j];
      const marks = held.get(j);
      least = Math.min(least, marks ? lowerHeld(mean3, lean, marks) : mean3 - Math.abs(lean) / 2);
    }
    lowest[turn] = least;
  }
}
function drawEdge({ places, rails, dips, held }, stepLimit, least, points, offset) {
  const size = places.length;
  const deviations = { up: new Float64Array(size), lift: new Float64Array(size), across: new Float64Array(size) };
  const lengths = stretches(places);
  const whole = lengths.reduce((sum, each) => sum + each, 0);
  const matters = Math.min(LENGTH_THAT_MATTERS, whole / 2);
  const row = { lowest: new Float64Array(DRAWS_PER_ROW), unlevel: new Float64Array(DRAWS_PER_ROW) };
  const rows2 = least.length / DRAWS_PER_ROW;
  let unlevel = 0;
  for (let i = 0; i < rows2; i += 1) {
    const means = rails.draw(i, points, offset, deviations);
    drawRow(means, deviations, lengths, stepLimit, row);
    if (held.size > 0) lowestHeld(means, deviations, held, row.lowest);
    for (let turn = 0; turn < DRAWS_PER_ROW; turn += 1) {
      const draw = DRAWS_PER_ROW * i + turn;
      if (row.unlevel[turn] >= matters) unlevel += 1;
      if (row.lowest[turn] < least[draw]) least[draw] = row.lowest[turn];
    }
  }
  drawDips(dips, least, points);
  return unlevel / least.length;
}
var SPREAD_OVER = Float64Array.from(
  { length: DRAWS_PER_ROW * CLOSE_ROWS },
  (_, draw) => (draw + 0.5) * SPREADS[2] % 1
);
var DIP_COLUMNS = 128;
function drawDips(dips, least, points) {
  for (const { chance, value: value2, own, key } of dips) {
    const shift = key * SPREADS[0] % 1;
    for (let draw = 0; draw < least.length; draw += 1) {
      const share2 = SPREAD_OVER[draw] + shift;
      if ((share2 >= 1 ? share2 - 1 : share2) >= chance) continue;
      const low = value2 + own * points[draw % points.length][(7 * key + (draw >> 6)) % DIP_COLUMNS];
      if (low < least[draw]) least[draw] = low;
    }
  }
}

// src/core/bar/edge-sightings.ts
var OTHER_RAIL = 0.1;
function ownVariance(reading2, common) {
  return reading2.tool === common ? ownUncertainty(reading2) ** 2 : reading2.u ** 2;
}
function depthSighting({ at: at2, near, far }, common) {
  if (near && far)
    return {
      at: at2,
      value: (near.value + far.value) / 2,
      variance: (ownVariance(near, common) + ownVariance(far, common)) / 4
    };
  const one = near ?? far;
  return one && { at: at2, value: one.value, variance: ownVariance(one, common) + OTHER_RAIL ** 2 / 4 };
}
function asOne(at2, said) {
  const precision = said.reduce((sum, { u }) => sum + 1 / u ** 2, 0);
  if (precision === 0) return null;
  return {
    at: at2,
    value: said.reduce((sum, { value: value2, u }) => sum + value2 / u ** 2, 0) / precision,
    variance: 1 / precision
  };
}
function testsOf(station) {
  const measured2 = step(station);
  return [squareSays(station), markerSaysStep(station)].flatMap(
    (said) => said && !contradictsStep(said, measured2) ? [said] : []
  );
}
function stepSighting(station) {
  const measured2 = step(station);
  const tests = testsOf(station);
  return asOne(station.at, measured2 ? [{ value: measured2.value, u: measured2.u }, ...tests] : tests);
}
function meanOf(sightings) {
  if (sightings.length === 0) return null;
  const precision = sightings.reduce((sum, { variance }) => sum + 1 / variance, 0);
  const value2 = sightings.reduce((sum, each) => sum + each.value / each.variance, 0) / precision;
  return { value: mm(value2), u: Math.sqrt(1 / precision) };
}
function stepSightings(stations, stands) {
  const found = stations.flatMap((station) => stepSighting(station) ?? []);
  const said = standsSays(stands);
  if (!said || stations.length === 0 || contradictsStep(said, meanOf(found))) return found;
  const middle = (stations[0].at + stations.at(-1).at) / 2;
  return [...found, { at: middle, value: said.value, variance: said.u ** 2 }];
}
var ALIKE = 0.8;
function isReadAlike({ near, far }, common) {
  if (!near || !far) return false;
  const [a, b] = [ownVariance(near, common), ownVariance(far, common)];
  return Math.min(a, b) >= ALIKE * Math.max(a, b);
}
function pairSightings(sorted, stands, common) {
  const rail = (at2, reading2, second) => reading2 ? [{ at: at2, first: 1, second, value: reading2.value, variance: ownVariance(reading2, common) }] : [];
  const said = (at2, { value: value2, u }) => ({
    at: at2,
    first: 0,
    second: 1,
    value: value2,
    variance: u ** 2
  });
  const whole = standsSays(stands);
  const steps = sorted.flatMap((station) => stepSighting(station) ?? []);
  const middle = (sorted[0].at + sorted.at(-1).at) / 2;
  return [
    ...sorted.flatMap((station) => [
      ...rail(station.at, station.near, 1 / 2),
      ...rail(station.at, station.far, -1 / 2),
      ...testsOf(station).map((test) => said(station.at, test))
    ]),
    ...whole && !contradictsStep(whole, meanOf(steps)) ? [said(middle, whole)] : []
  ];
}

// src/core/bar/profile-prior.ts
var ROUGHNESS = [
  [0.01, 6.5],
  [0.05, 2.2],
  [0.15, 1],
  [0.4, 0.4]
];
var STEP_ROUGHNESS = [
  [0.01, 6.5],
  [0.06, 2.4],
  [0.16, 2.6],
  [0.4, 0.8]
];
var makes = (levelSpread, roughness, share2 = 1) => roughness.map(([scale, weight]) => ({ levelSpread, scale, weight: share2 * weight }));
var ANYWHERE = 3;
var ANY_LEVEL = { level: null, makes: makes(ANYWHERE, ROUGHNESS) };
var LEVEL = 0.015;
var WORN_TO_ONE_SIDE = 0.16;
var LEVEL_TO_WORN = 2.5;
var LEVEL_OR_NOT = {
  level: 0,
  makes: [...makes(LEVEL, STEP_ROUGHNESS, LEVEL_TO_WORN), ...makes(WORN_TO_ONE_SIDE, STEP_ROUGHNESS)]
};
var PLACE_EVERY = 40;
var MOST_PARTS = 9;
function placesAlong(ats) {
  const own = [...new Set(ats)].sort((a, b) => a - b);
  return own.flatMap((at2, i) => {
    const next2 = own[i + 1];
    if (next2 === void 0) return [at2];
    const parts = Math.min(MOST_PARTS, Math.ceil((next2 - at2) / PLACE_EVERY));
    return Array.from({ length: parts }, (_, k) => at2 + (next2 - at2) * k / parts);
  });
}
function commonToolOf(readings) {
  const counts2 = /* @__PURE__ */ new Map();
  for (const { tool } of readings) if (tool) counts2.set(tool, (counts2.get(tool) ?? 0) + 1);
  const [most] = [...counts2].sort(([a, x], [b, y]) => y - x || (a < b ? -1 : 1));
  return most?.[0] ?? null;
}

// src/core/bar/rails-belief.ts
function apart(depth2, step2) {
  const { places } = depth2;
  return {
    places,
    at: (j) => ({ depth: believedAt(depth2, j), step: believedAt(step2, j), covariance: 0 }),
    draw: (row, points, offset, { up, across }) => {
      const mean3 = pick(depth2.components, (row + 0.5) * SPREADS[0] % 1);
      const lean = pick(step2.components, (row + 0.5) * SPREADS[1] % 1);
      deviate(mean3, points[row], offset, up);
      deviate(lean, points[row], offset + places.length, across);
      return { depths: mean3.mean, leans: lean.mean };
    }
  };
}
function covarianceAt({ factor }, size, a, b) {
  let sum = 0;
  for (let k = 0; k <= Math.min(a, b); k += 1) sum += factor[a * size + k] * factor[b * size + k];
  return sum;
}
function together(components, places) {
  const size = places.length;
  const at2 = (j) => {
    let [depth2, step2, depthSquare, stepSquare, product3] = [0, 0, 0, 0, 0];
    for (const component of components) {
      const { weight, mean: mean3 } = component;
      const [a, b] = [mean3[j], mean3[size + j]];
      depth2 += weight * a;
      step2 += weight * b;
      depthSquare += weight * (a * a + covarianceAt(component, 2 * size, j, j));
      stepSquare += weight * (b * b + covarianceAt(component, 2 * size, size + j, size + j));
      product3 += weight * (a * b + covarianceAt(component, 2 * size, size + j, j));
    }
    return {
      depth: { mean: depth2, u: Math.sqrt(Math.max(0, depthSquare - depth2 * depth2)) },
      step: { mean: step2, u: Math.sqrt(Math.max(0, stepSquare - step2 * step2)) },
      covariance: product3 - depth2 * step2
    };
  };
  return {
    places,
    at: at2,
    draw: (row, points, offset, { up, lift, across }) => {
      const component = pick(components, (row + 0.5) * SPREADS[0] % 1);
      const { factor, mean: mean3 } = component;
      const drawn = points[row];
      for (let j = 0; j < size; j += 1) {
        let own = 0;
        let shared = 0;
        let rest = 0;
        for (let k = 0; k < size; k += 1) {
          if (k <= j) own += factor[j * 2 * size + k] * drawn[offset + k];
          shared += factor[(size + j) * 2 * size + k] * drawn[offset + k];
          if (k <= j) rest += factor[(size + j) * 2 * size + size + k] * drawn[offset + size + k];
        }
        up[j] = own;
        lift[j] = shared;
        across[j] = rest;
      }
      return { depths: mean3.subarray(0, size), leans: mean3.subarray(size) };
    }
  };
}

// src/core/bar/edge-fit.ts
var LEAST_DIP = 0.01;
function railAt({ depth: depth2, step: lean, covariance }, sign) {
  return {
    mean: depth2.mean + sign * lean.mean / 2,
    variance: depth2.u ** 2 + lean.u ** 2 / 4 + sign * covariance
  };
}
function dipsOf(sorted, rails, common) {
  return sorted.flatMap((station, key) => {
    const { at: at2, near, far } = station;
    const believed2 = rails.at(rails.places.indexOf(at2));
    const both = near && far && isReadAlike(station, common) ? depthSighting(station, common) : null;
    const bothDip = both ? dipChance(both, believed2.depth.mean, believed2.depth.u ** 2) : 0;
    const rail = (reading2, sign) => {
      if (!reading2) return [];
      const own = ownVariance(reading2, common);
      const { mean: mean3, variance } = railAt(believed2, sign);
      const chance = dipChance({ at: at2, value: reading2.value, variance: own }, mean3, variance);
      return [{ chance: Math.max(chance, bothDip), value: reading2.value, own: Math.sqrt(own), key }];
    };
    return [...rail(near, 1), ...rail(far, -1)].filter(({ chance }) => chance >= LEAST_DIP);
  });
}
var MOST_PAIRS = 6;
function likelyPairs(depth2, steps) {
  return depth2.components.flatMap(
    (first) => steps.components.map((second) => ({
      likely: first.weight * second.weight,
      make: { first: first.made, second: second.made, weight: first.made.weight * second.made.weight }
    }))
  ).sort((a, b) => b.likely - a.likely).slice(0, MOST_PAIRS).map(({ make: make2 }) => make2);
}
function railsOf(sorted, stands, common, designs) {
  const depths2 = sorted.flatMap((station) => depthSighting(station, common) ?? []);
  const steps = stepSightings(sorted, stands);
  const places = placesAlong(depths2.map(({ at: at2 }) => at2));
  const depth2 = believedAlong(designs, depths2, places, ANY_LEVEL);
  const lean = believedAlong(designs, steps, places, LEVEL_OR_NOT);
  if (sorted.every((station) => isReadAlike(station, common))) return apart(depth2, lean);
  const centre = depths2.reduce((sum, { value: value2 }) => sum + value2, 0) / depths2.length;
  return together(pairBelief(pairSightings(sorted, stands, common), places, likelyPairs(depth2, lean), centre), places);
}
function fitEdge(stations, stands, common, designs) {
  const sorted = stations.filter(({ near, far }) => near ?? far).sort(
    (a, b) => a.at - b.at || (a.near?.value ?? 0) + (a.far?.value ?? 0) - (b.near?.value ?? 0) - (b.far?.value ?? 0)
  );
  if (sorted.length === 0) return null;
  const rails = railsOf(sorted, stands, common, designs);
  const held = new Map(
    sorted.flatMap(
      ({ at: at2, near, far }) => near?.between ?? far?.between ? [[rails.places.indexOf(at2), { near: near?.between, far: far?.between }]] : []
    )
  );
  return { sorted, places: rails.places, rails, dips: dipsOf(sorted, rails, common), held };
}

// src/core/bar/believed.ts
function placeBelief({ places, rails }, j, common) {
  const believed2 = rails.at(j);
  const rail = (sign) => {
    const { mean: mean3, variance } = railAt(believed2, sign);
    return { value: mm(mean3), u: quadrature(Math.sqrt(Math.max(0, variance)), common) };
  };
  return {
    at: places[j],
    near: rail(1),
    far: rail(-1),
    step: { value: mm(believed2.step.mean), u: believed2.step.u }
  };
}
function edgeBelief(fitted, stations, common, stepChance) {
  const places = fitted.places.map((_, j) => placeBelief(fitted, j, common));
  const by = new Map(places.map((place) => [place.at, place]));
  return {
    places,
    stations: stations.map(({ at: at2, near, far }) => near ?? far ? by.get(at2) ?? null : null),
    stepChance
  };
}
function drawBoth(fits2, asked, common, rows2) {
  const size = (edge3) => 2 * (fits2[edge3]?.places.length ?? 0);
  const points = normalPoints(size("A") + size("B"));
  const draws = new Float64Array(DRAWS_PER_ROW * rows2).fill(Infinity);
  const chance = (edge3, offset) => {
    const fitted = fits2[edge3];
    return fitted ? drawEdge(fitted, asked.step, draws, points, offset) : 0;
  };
  const stepChance = { A: chance("A", 0), B: chance("B", size("A")) };
  return { least: { draws, common }, stepChance };
}
var CLEAR_CHANCE = 0.02;
var isClearChance = (chance) => Math.min(chance, 1 - chance) <= CLEAR_CHANCE;
var MORE_LIKELY_THAN_NOT = 0.5;
function weakestPlace(fits2, beliefs) {
  let found = null;
  for (const edge3 of EDGES) {
    const [fitted, belief] = [fits2[edge3], beliefs[edge3]];
    if (!fitted || !belief) continue;
    fitted.sorted.forEach((station, key) => {
      for (const rail of ["near", "far"]) {
        const reading2 = station[rail];
        const believed2 = belief.stations[station.index]?.[rail].value;
        if (!reading2 || believed2 === void 0) continue;
        const dipped = fitted.dips.some(
          (dip) => dip.key === key && dip.chance > MORE_LIKELY_THAN_NOT && dip.value === reading2.value
        );
        const depth2 = dipped ? Math.min(believed2, reading2.value) : believed2;
        if (!found || depth2 < found.depth) found = { at: { edge: edge3, station: station.index, rail }, depth: depth2 };
      }
    });
  }
  return found?.at ?? null;
}
function barBelief(stations, stands, asked, designs = designsOfSheet()) {
  const readings = [...stations.A, ...stations.B].flatMap(({ near, far }) => [near, far].flatMap((each) => each ?? []));
  if (readings.length === 0) return { edges: { A: null, B: null }, least: null, leastAt: null };
  const tool = commonToolOf(readings);
  const common = tool ? sharedUncertainty(tool) : 0;
  const fits2 = { A: fitEdge(stations.A, stands.A, tool, designs), B: fitEdge(stations.B, stands.B, tool, designs) };
  const few = drawBoth(fits2, asked, common, CLEAR_ROWS);
  const isSettled = EDGES.every((edge3) => isClearChance(few.stepChance[edge3])) && isClear(few.least, asked.depths);
  const { least, stepChance } = isSettled ? few : drawBoth(fits2, asked, common, CLOSE_ROWS);
  const believed2 = (edge3) => {
    const fitted = fits2[edge3];
    return fitted && edgeBelief(fitted, stations[edge3], common, stepChance[edge3]);
  };
  const edges = { A: believed2("A"), B: believed2("B") };
  return { edges, least, leastAt: weakestPlace(fits2, edges) };
}

// src/core/bar/believed-play.ts
var ownVariance2 = (width2, tool) => width2.tool === tool ? ownUncertainty(width2) ** 2 : width2.u ** 2;
function fitWidths(widths, tool, designs) {
  const sorted = [...widths].sort((a, b) => a.at - b.at || a.width.value - b.width.value);
  const places = placesAlong(sorted.map(({ at: at2 }) => at2));
  const sightings = sorted.map(({ at: at2, width: width2 }) => ({ at: at2, value: -width2.value, variance: ownVariance2(width2, tool) }));
  const held = new Map(
    sorted.flatMap(
      ({ at: at2, width: { between: between2 } }) => between2 ? [[places.indexOf(at2), [-between2[1], -between2[0]]]] : []
    )
  );
  return { belief: believedAlong(designs, sightings, places, ANY_LEVEL), held };
}
var APART = 61;
var FAR = 6;
var FAR_BESIDE = 0.12;
function isFar(widths, levels) {
  return levels.every((level) => {
    const apart2 = widths.map(({ width: width2 }) => (-width2.value - level) / (FAR * width2.u + FAR_BESIDE));
    return Math.min(...apart2) > 1 || Math.max(...apart2) < -1;
  });
}
function widest(widths, levels, designs) {
  const [first] = widths;
  if (!first) return null;
  const tool = commonToolOf(widths.map(({ width: width2 }) => width2));
  const common = tool ? sharedUncertainty(tool) : 0;
  const at2 = widths.reduce((most, next2) => next2.width.value > most.width.value ? next2 : most, first);
  const place = { edge: at2.edge, station: at2.station };
  if (isFar(widths, levels)) {
    const own = widths.map(({ width: width2 }) => ({ value: -width2.value, own: Math.sqrt(ownVariance2(width2, tool)) }));
    return { negative: leastAbout(shortestOf(own, 0), common), tool, at: place };
  }
  const groups = /* @__PURE__ */ new Map();
  for (const width2 of widths) {
    const key = `${width2.edge}${width2.kind}`;
    groups.set(key, [...groups.get(key) ?? [], width2]);
  }
  const fits2 = [...groups.values()].map((group2) => fitWidths(group2, tool, designs));
  const drawn = (rows2) => fits2.map(({ belief, held }, i) => leastAlong(belief, common, held, i * APART, rows2)).reduce((least, next2) => lesser(least, next2));
  const few = drawn(CLEAR_ROWS);
  const negative = isClear(few, levels) ? few : drawn(CLOSE_ROWS);
  return { negative, tool, at: place };
}
function widthBelief(stations, boundsAt, widths, designs = designsOfSheet()) {
  const levels = widths.map((width2) => -width2);
  const all = EDGES.flatMap(
    (edge3) => stations[edge3].map((station, i) => ({ edge: edge3, station, bounds: boundsAt(edge3, station, i) }))
  );
  const side = (which) => all.flatMap(({ edge: edge3, station, bounds }) => {
    const width2 = bounds[which];
    const { mouth, deep } = station.widths;
    const isBound = [mouth, deep].some((bounds2) => bounds2 && (!bounds2.lo || !bounds2.hi));
    const kind = `${mouth && deep ? "whole" : mouth ? "mouth" : "floor"}${isBound ? ", bound" : ""}`;
    return width2 ? [{ edge: edge3, station: station.index, at: station.at, width: width2, kind }] : [];
  });
  const unheld = all.find(({ station }) => station.widths.mouth && !station.widths.mouth.hi);
  const [above, below] = [side("hi"), side("lo")];
  const atMost = widest(above, levels, designs);
  const isOne = above.length === below.length && above.every(({ width: width2 }, i) => width2 === below[i].width);
  return {
    atMost,
    atLeast: isOne ? atMost : widest(below, levels, designs),
    open: unheld ? { edge: unheld.edge, station: unheld.station.index } : null
  };
}
function playAtWidest({ negative, tool }, link) {
  const cancels = link.tool !== void 0 && link.tool === tool;
  const common = cancels ? ownUncertainty(link) : quadrature(negative.common, link.u);
  return { draws: negative.draws.map((draw) => draw + link.value), common };
}
var positive = ({ value: value2, u }) => ({ value: mm(-value2), u });
var OF_MANY = 1.5;
function isPinched(play, readings) {
  return play.value <= (readings > 2 ? -OF_MANY * play.u : 0);
}

// src/core/bar/dressing.ts
function dressProfile(stations, { tolerance, slope }) {
  const planned = stations.filter(inPlan);
  const holding = planned.filter(({ leaveLow }) => !leaveLow);
  const anchors = (holding.length > 0 ? holding : planned).map((station) => ({
    at: station.at,
    low: lowAt(station) + tolerance
  }));
  return stations.map(
    (station) => inPlan(station) ? mm(Math.min(...anchors.map(({ at: at2, low }) => low + slope * Math.abs(station.at - at2)))) : null
  );
}
function lowAt({ near, far, chipped }) {
  return Math.min(near, far, chipped ?? Infinity);
}
function inPlan(station) {
  return station.near !== null && station.far !== null && !station.keptOut;
}
function grooveAfter(groove, removal) {
  const { deep, deepAt } = groove;
  if (deep === null || deepAt === null) return groove;
  if (removal >= deepAt) return { mouth: deep, deep: null, deepAt: null };
  return { mouth: mouthAfter(groove, removal), deep, deepAt: mm(deepAt - removal) };
}
function mouthAfter(groove, removal) {
  return widthAt(groove, removal);
}
function dressPlan(stations, rules, deeper = 0) {
  const target = dressProfile(stations, rules).map((height) => height === null ? null : mm(height - deeper));
  const removal = (rail) => stations.map((station, i) => {
    const height = target[i] ?? null;
    const stands = station[rail];
    return height === null || stands === null ? null : mm(Math.max(0, stands - height));
  });
  const removeNear = removal("near");
  const removeFar = removal("far");
  const widths = stations.map(
    ({ groove }, i) => groove && target[i] !== null ? mouthAfter(groove, Math.max(removeNear[i] ?? 0, removeFar[i] ?? 0)) : null
  );
  const depths2 = stations.flatMap((station, i) => {
    const height = target[i] ?? null;
    return height === null ? [] : [{ station: i, depth: mm(Math.min(height, station.near, station.far) - rules.touch) }];
  });
  return {
    target,
    removeNear,
    removeFar,
    mouthAfter: widths,
    most: Math.max(0, ...removeNear.map((r) => r ?? 0), ...removeFar.map((r) => r ?? 0)),
    weakest: depths2.reduce(
      (least, next2) => least && least.depth <= next2.depth ? least : next2,
      null
    )
  };
}
function dressStop(plan, depthLimit, tang) {
  const weakest = plan.weakest;
  if (!weakest) return null;
  if (depthLimit !== null && weakest.depth < depthLimit) return { station: weakest.station, limit: "bar.depth" };
  if (tang !== null && weakest.depth <= tang) return { station: weakest.station, limit: "bar.floor-clearance" };
  return null;
}
function dressingsLeft(weakestAfter2, depthLimit, lossPerDressing) {
  return Math.max(0, Math.floor((weakestAfter2 - depthLimit) / lossPerDressing + 1e-9));
}
function takenElsewhere({ removeNear, removeFar }, but) {
  return [...removeNear, ...removeFar].reduce(
    (sum, removal, i) => i % removeNear.length === but ? sum : sum + (removal ?? 0),
    0
  );
}
function costlyStations(stations, { target }, { tolerance, slope }, worthFrom) {
  const costly = /* @__PURE__ */ new Set();
  stations.forEach((station, j) => {
    const height = target[j] ?? null;
    if (height === null || !inPlan(station)) return;
    const own = lowAt(station) + tolerance;
    if (own - height <= worthFrom) return;
    stations.forEach((other, i) => {
      if (i === j || !inPlan(other) || other.leaveLow) return;
      const holds = lowAt(other) + tolerance + slope * Math.abs(station.at - other.at);
      if (holds <= height + 1e-9) costly.add(i);
    });
  });
  return costly;
}
function dressExceptions(stations, rules, worthFrom) {
  const whole = dressPlan(stations, rules);
  const costly = costlyStations(stations, whole, rules, worthFrom);
  return stations.flatMap((_, i) => {
    if (!costly.has(i)) return [];
    const without = dressPlan(
      stations.map((each, j) => j === i ? { ...each, leaveLow: true } : each),
      rules
    );
    if (takenElsewhere(whole, i) <= takenElsewhere(without, i)) return [];
    const savings = stations.flatMap(
      (_2, j) => j === i ? [] : [
        (whole.removeNear[j] ?? 0) - (without.removeNear[j] ?? 0),
        (whole.removeFar[j] ?? 0) - (without.removeFar[j] ?? 0)
      ]
    );
    const saves = Math.max(0, ...savings);
    return saves > worthFrom ? [{ station: i, saves }] : [];
  });
}
function dressEffort(plan, figures) {
  const passes = (removal) => Math.max(0, Math.ceil(Math.max(0, ...removal.map((each) => each ?? 0)) / figures.pass - 1e-9));
  const [near, far] = [passes(plan.removeNear), passes(plan.removeFar)];
  const minutes = near + far === 0 ? 0 : figures.setup + (near + far) * figures.perPass;
  return { passes: { near, far }, minutes };
}

// src/core/bar/pattern.ts
var DIRECTION_SURE = 2;
function meanStep(stations) {
  const steps = stations.flatMap((station) => step(station) ?? []);
  if (steps.length === 0) return null;
  const value2 = steps.reduce((sum, each) => sum + each.value, 0) / steps.length;
  const u = Math.sqrt(steps.reduce((sum, each) => sum + each.u ** 2, 0)) / steps.length;
  return { value: value2, u };
}
function direction(mean3) {
  if (Math.abs(mean3.value) <= DIRECTION_SURE * mean3.u) return "level";
  return mean3.value < 0 ? "near" : "far";
}
function wearPattern(edges, turnOver, turned = { times: 0, seen: 0 }) {
  const a = meanStep(edges.A);
  const b = meanStep(edges.B);
  if (!a || !b) return { code: "not-measured" };
  const low = { A: direction(a), B: direction(b) };
  if (low.A === "level" && low.B === "level") return { code: "level" };
  if (low.A === "level") return { code: "one-edge", edge: "B", low: low.B };
  if (low.B === "level") return { code: "one-edge", edge: "A", low: low.A };
  const opposite = low.A !== low.B;
  if (turnOver !== void 0 && turnOver !== "never") return { code: "measure-the-cutters", opposite, logged: null };
  if (turned.times > 0) return { code: "measure-the-cutters", opposite, logged: turned.times };
  if (turnOver === void 0) return { code: "turning-not-told", opposite };
  return opposite ? { code: "leaned-on", low: { A: low.A, B: low.B } } : { code: "cutters-of-one-side", low: low.A };
}
function weakestDepth(belief) {
  if (!belief || belief.places.length === 0) return null;
  return Math.min(...belief.places.flatMap(({ near, far }) => [near.value, far.value]));
}
var ALIKE2 = 5e-3;
function edgeDownNext(beliefs) {
  const [a, b] = [weakestDepth(beliefs.A), weakestDepth(beliefs.B)];
  if (a === null || b === null || Math.abs(a - b) < ALIKE2) return null;
  return a > b ? "A" : "B";
}

// src/core/bar/turns.ts
function turnsIn(log, cameNow) {
  const noted2 = [...log.flatMap(({ came, went }) => [came, went]), cameNow].filter((edge3) => edge3 !== void 0);
  const times = noted2.filter((edge3, i) => i > 0 && edge3 !== noted2[i - 1]).length;
  return { times, seen: Math.max(0, noted2.length - 1) };
}

// src/core/bar/drift.ts
var NOTICED = { drift: 5, depth: 300 };
function noticedLean(bodyHeight) {
  return degrees(Math.atan(NOTICED.drift * 2 * bodyHeight / NOTICED.depth ** 2));
}

// src/core/bar/wear-place.ts
var EVEN_WITHIN = 0.25;
var SPOT_BELOW = 0.3;
var TAIL_SHARE = 0.2;
var NOSE_SHARE = 0.9;
function wearPlace(edge3, belief) {
  const depths2 = (belief?.stations ?? []).flatMap((place) => place ? [{ at: place.at, depth: Math.min(place.near.value, place.far.value) }] : []).sort((a, b) => a.at - b.at);
  if (depths2.length < 3) return { code: "not-measured" };
  const lowest = depths2.reduce((least, next2) => next2.depth < least.depth ? next2 : least);
  const lost = Math.max(...depths2.map(({ depth: depth2 }) => depth2)) - lowest.depth;
  if (lost < EVEN_WITHIN) return { code: "even" };
  const found = { edge: edge3, at: lowest.at, lost };
  if (isSpot(depths2, lowest)) return { code: "one-spot", ...found };
  const [first, last] = [depths2[0].at, depths2.at(-1).at];
  const share2 = (lowest.at - first) / (last - first);
  if (share2 <= TAIL_SHARE) return { code: "at-tail", ...found };
  return { code: share2 >= NOSE_SHARE ? "at-nose" : "toward-nose", ...found };
}
function isSpot(depths2, lowest) {
  const i = depths2.indexOf(lowest);
  const [before, after2] = [depths2[i - 1], depths2[i + 1]];
  return before !== void 0 && after2 !== void 0 && before.depth - lowest.depth >= SPOT_BELOW && after2.depth - lowest.depth >= SPOT_BELOW;
}

// src/core/bar/crooked.ts
var share = (value2, limit2) => Math.abs(value2) / Math.max(limit2, 1e-9);
function crookedCauses(evidence) {
  const { lean, leanLimit, play, playLimit, cutters, cuttersLimit, nearIsRight } = evidence;
  const leaning = lean !== null && Math.abs(lean) > leanLimit;
  const loose = play !== null && play > playLimit;
  const uneven = cutters !== null && Math.abs(cutters) > cuttersLimit;
  const barSound = !leaning && !loose;
  const strength = {
    lean: leaning ? share(lean, leanLimit) : 0,
    play: loose ? share(play, playLimit) : 0,
    cutters: uneven && barSound ? share(cutters, cuttersLimit) : 0
  };
  const all = strength.lean + strength.play + strength.cutters;
  const finding = (cause, found, value2, limit2, toward) => ({
    cause,
    state: value2 === null ? "not-measured" : found ? "found" : "sound",
    value: value2,
    limit: limit2,
    toward: found ? toward : null,
    weight: all === 0 ? 0 : strength[cause] / all,
    aggravates: found && strength[cause] === 0
  });
  const farSide = nearIsRight ? "left" : "right";
  const nearSide = nearIsRight ? "right" : "left";
  return [
    // A link that leans to the far side steers the cut that way.
    finding("lean", leaning, lean, leanLimit, lean === null ? null : lean > 0 ? farSide : nearSide),
    finding("play", loose, play, playLimit, null),
    // Longer cutters stand higher and cut more: the cut runs to their side.
    finding("cutters", uneven, cutters, cuttersLimit, cutters === null ? null : cutters > 0 ? "left" : "right")
  ];
}

// src/core/judge/check.ts
var COMPUTED_CHECKS = [
  "bar.bow",
  "bar.depth",
  "bar.depth-after",
  "bar.floor-clearance",
  "bar.floor-clearance-after",
  "bar.play",
  "bar.play-after",
  "bar.step",
  "bar.chip",
  "bar.marker",
  "bar.square",
  "bar.stands",
  "bar.nose",
  "chain.cutter",
  "chain.elongation",
  "chain.uneven",
  "chain.tangs",
  "chain.tight-joints",
  "sprocket.wear",
  "sprocket.chains"
];

// src/core/judge/make-check.ts
function workOf({ work }, outcome, condemns) {
  if (!work) return null;
  const isCalledFor = outcome === "fail" ? !condemns : outcome === "watch" && work.from === "watch";
  return isCalledFor ? work.operation : null;
}
var withOutcome = (check, outcome, work = null) => ({
  ...check,
  outcome,
  work
});
function make(head2, judged2) {
  const condemns = head2.condemns ?? judged2.condemns;
  return {
    id: head2.id,
    part: head2.part,
    at: head2.at ?? null,
    value: judged2.value ?? null,
    unit: judged2.unit ?? null,
    uncertainty: judged2.uncertainty ?? null,
    limit: judged2.limit ?? null,
    watch: judged2.watch ?? null,
    kind: judged2.kind,
    probability: judged2.probability ?? null,
    outcome: judged2.outcome,
    provenance: judged2.provenance,
    source: judged2.source ?? null,
    bound: judged2.bound ?? null,
    repeat: head2.repeat ?? null,
    condemns,
    work: judged2.work ?? workOf(head2, judged2.outcome, condemns),
    observed: judged2.observed ?? null,
    note: head2.note ?? null
  };
}
var ROUNDING = 1e-9;
var beyond = (value2, limit2, kind) => kind === "min" ? value2 < limit2 - ROUNDING : value2 > limit2 + ROUNDING;
var kindOf = ({ role }) => role === "min" ? "min" : "max";
function judgedCheck(head2, { value: value2, within: within3, bound = null }, limit2, watch) {
  const kind = kindOf(limit2);
  const warned = watch !== null && beyond(value2.value, watch.value, kind);
  return make(head2, {
    condemns: true,
    value: value2.value,
    unit: limit2.unit,
    uncertainty: value2.u,
    limit: limit2.value,
    watch: watch?.value ?? null,
    kind,
    probability: probabilityOf(within3),
    outcome: outcomeWithin(within3, warned),
    provenance: limit2.provenance,
    source: limit2.source,
    bound
  });
}
function probabilityOf(within3) {
  if (within3.least === within3.most) return asProbability(within3.least);
  const outcome = outcomeWithin(within3);
  if (outcome === "undecided") return null;
  return asProbability(outcome === "fail" ? within3.most : within3.least);
}
var asProbability = (sum) => Math.min(1, Math.max(0, sum));
function readingCheck(head2, reading2, limit2, watch) {
  const kind = kindOf(limit2);
  const within3 = readingWithin(reading2, limit2.value, kind);
  const whole = estimate(reading2);
  if (whole) return judgedCheck(head2, { value: whole, within: within3 }, limit2, watch);
  const { lo, hi } = boundsOf(reading2);
  return judgedCheck(head2, { value: lo ?? hi, within: within3, bound: lo ? "at-least" : "at-most" }, limit2, watch);
}
function workCheck(head2, value2, limit2) {
  const kind = kindOf(limit2);
  return make(head2, {
    condemns: false,
    value: value2.value,
    unit: limit2.unit,
    uncertainty: value2.u,
    limit: limit2.value,
    kind,
    probability: probabilityWithin(value2, limit2.value, kind),
    outcome: beyond(value2.value, limit2.value, kind) ? "fail" : "ok",
    provenance: limit2.provenance,
    source: limit2.source
  });
}
function observedCheck(head2, word, outcomes) {
  return make(head2, {
    condemns: false,
    kind: "observation",
    outcome: word === void 0 ? "not-measured" : outcomes[word],
    provenance: "practice",
    observed: word ?? null
  });
}
function missingCheck(head2, provenance, note) {
  return make({ ...head2, note }, { condemns: true, kind: "observation", outcome: "not-measured", provenance });
}

// src/core/judge/repeat.ts
var finer = (a, b) => standardUncertainty(measured([mm(0)], a)) <= standardUncertainty(measured([mm(0)], b)) ? a : b;
function repeatOf(measure, reading2, usual = null) {
  const used = reading2?.kind === "measured" ? reading2.instrument : usual;
  if (!used) return null;
  const tool = usual ? finer(usual, used) : used;
  const placing = reading2?.kind === "measured" && tool === reading2.instrument ? reading2 : { instrument: tool };
  return { measure, tool, u: placingUncertainty(placing) };
}

// src/core/chain/readings.ts
var cutterLength = () => length({ kind: "cutter", instrument: "caliper" });
var pushPull = () => length({ kind: "push", instrument: "tape" });
var identify = (view) => ({ step: "identify", view });
var identifying = {
  stamp: words(200, { ...identify("marks"), idle: goesWith("chain.pitch", "chain.gauge") }),
  span: group(
    {
      rivets: count({ from: 2, to: 400 }, { means: "Rivets counted, both ends included: 11 rivets span 10 pitches." }),
      length: length({ kind: "span", instrument: "caliper", placing: PLACING_ON_RIVETS }),
      instrument: oneOf(INSTRUMENT_IDS)
    },
    { ...identify("pitch"), idle: goesWith("chain.pitch") },
    ["rivets", "length"]
  ),
  template: someOf(PITCH_MARKS, { means: "Templates whose cut-outs centre on the rivets.", ...identify("pitch") }, 6),
  chassis: oneOf(["small", "large"], {
    means: "Cutter and link compared side by side with a known chain.",
    ...identify("pitch")
  }),
  fileSize: length(
    { kind: "file", instrument: "caliper" },
    { means: "Round file that was used on it.", ...identify("pitch") }
  ),
  driveLinkThickness: length({ kind: "thickness", instrument: "caliper", goNoGo: "slot" }, identify("gauge")),
  driveLinks: listOf(count({ from: 1, to: 400 }), 20, {
    means: "Recounts, in the order they were made.",
    minutes: 1.5,
    ...identify("links")
  }),
  cutters: count(
    { from: 1, to: 200 },
    { minutes: 3, ...identify("links"), idle: goesWith("chain.sequence", "chain.driveLinks") }
  ),
  loopLength: length(
    { kind: "loop", instrument: "tape" },
    { means: "Once round at the rivet line, chain pulled straight.", minutes: 2, ...identify("links") }
  )
};
var worn = {
  tang: length(
    { kind: "tang", instrument: "caliper" },
    {
      means: "Length of the drive link below the straps.",
      idle: goesWith("bar.edges.depth", "bar.edges.mouth")
    }
  ),
  kerf: length(
    { kind: "kerf", instrument: "caliper" },
    { idle: goesWith("chain.tipHeight", "bar.thickness", "bar.edges.mouth") }
  ),
  tipHeight: length(
    { kind: "kerf", instrument: "caliper" },
    {
      means: "Cutter tip above the middle of the engaged tang.",
      idle: goesWith("chain.kerf", "bar.thickness", "bar.edges.mouth")
    }
  ),
  cuttersLeft: listOf(cutterLength(), 200, {
    minutes: 3,
    needed: { by: ["chain"], orElse: ["chain.cuttersRight"], enough: (there) => there.length > 0 }
  }),
  cuttersRight: listOf(cutterLength(), 200, { minutes: 3 }),
  damage: listOf(
    group({ side: oneOf(["left", "right"]), cutter: count({ from: 1, to: 400 }), setBack: cutterLength() }, {}, [
      "side",
      "cutter",
      "setBack"
    ]),
    400,
    { idle: goesWith("chain.cuttersLeft") }
  ),
  witnessLimit: length({ kind: "cutter", instrument: "caliper" }, { idle: goesWith("chain.cuttersLeft") }),
  pushPull: group(
    { joints: count({ from: 1, to: 800 }), closed: pushPull(), pulled: pushPull() },
    { minutes: 2, needed: { by: ["chain"] }, idle: goesWith("chain.pushPull") },
    ["joints", "closed", "pulled"]
  ),
  checks: group({
    crack: seen(
      { no: "ok", yes: "fail", unsure: "undecided" },
      { check: "chain.crack", condemns: true, always: true, minutes: 2, needed: { by: ["chain"] } }
    ),
    strapBurrs: seen({ none: "ok", light: "watch", heavy: ["fail", "dress-straps"] }, { check: "chain.straps" }),
    resin: seen(
      { none: "ok", soft: "ok", baked: "watch" },
      { check: "chain.resin", means: "Bright: it was sharp and oiled.", step: "strip" }
    ),
    burredTangs: count({ from: 0, to: 400 }),
    tightJoints: count({ from: 0, to: 800 })
  })
};
var chainReadings = group(
  {
    ...identifying,
    ...worn,
    kickbackClass: oneOf(["low-kickback", "standard"], {
      ...identify("gauge"),
      idle: goesWith("job.operatorTrained")
    }),
    sequence: oneOf(["full-complement", "semi-skip", "full-skip"], {
      ...identify("links"),
      idle: goesWith("chain.cutters", "chain.driveLinks")
    })
  },
  { step: "chain", minutes: 0.5 }
);

// src/core/loop/readings.ts
var loopReadings = group(
  {
    tape: length(
      { kind: "loop", instrument: "tape" },
      {
        means: "Tape laid in the groove, round the nose and the drive sprocket.",
        minutes: 2,
        idle: goesWith("bar.pitch")
      }
    ),
    centreBack: length(
      { kind: "centres", instrument: "tape" },
      {
        means: "Centre of drive sprocket to centre of nose, tensioner fully back.",
        idle: goesWith("loop.centreOut", "driveSprocket.teeth")
      }
    ),
    centreOut: length(
      { kind: "centres", instrument: "tape" },
      { means: "The same, tensioner fully out.", idle: goesWith("loop.centreBack", "driveSprocket.teeth") }
    ),
    noseRadius: length(
      { kind: "noseRadius", instrument: "rule" },
      {
        means: "Hard nose: its radius to the rivet line.",
        minutes: 1,
        idle: goesWith("loop.centreBack", "loop.centreOut")
      }
    )
  },
  { step: "identify", view: "loop", minutes: 3 }
);

// src/core/refit/readings.ts
var REFIT_ACTS = [
  "tensioner-back",
  "other-edge-down",
  "cutters-forward",
  "pin-in-hole",
  "nuts-finger-tight",
  "tension",
  "nuts-evenly",
  "runs-by-hand",
  "oil-flies"
];
var refitReadings = group(
  {
    done: someOf(REFIT_ACTS, {
      means: "Acts of putting the parts back on that were done.",
      acts: { askedBy: ["whole-saw"] },
      idle: recorded
    })
  },
  { step: "refit", minutes: 0.5 }
);

// src/core/sprocket/readings.ts
var driveSprocketReadings = group(
  {
    stamp: words(200, {
      means: "As punched on the sprocket: pitch and teeth, such as 325-7.",
      step: "identify",
      view: "marks",
      idle: goesWith("driveSprocket.pitch")
    }),
    type: oneOf(["spur", "rim"], { idle: recorded }),
    teeth: count(
      { from: 4, to: 20 },
      { step: "identify", view: "marks", idle: goesWith("loop.centreBack", "loop.centreOut") }
    ),
    pitch: oneOf(PITCH_MARKS, { step: "identify", view: "marks" }),
    wear: length(
      { kind: "smallDefect", instrument: "feeler" },
      { means: "Depth of the grooves the drive links have worn.", minutes: 1, needed: { by: ["driveSprocket"] } }
    ),
    chainsRun: count({ from: 0, to: 100 }),
    turns: seen(
      { free: "ok", rough: ["watch", "free-bearing"], seized: "fail" },
      { check: "sprocket.turns", condemns: true }
    )
  },
  { step: "sprocket", minutes: 0.5 }
);

// src/core/take-in/readings.ts
var SYMPTOMS = [
  "cuts-curved-left",
  "cuts-curved-right",
  "chain-comes-off",
  "runs-hot",
  "fine-dust",
  "needs-force",
  "eats-chains",
  "vibrates",
  "will-not-oil",
  "will-not-take-up-tension"
];
var USES = ["bucking", "limbing", "milling", "felling", "rescue"];
var BROUGHT = ["whole-saw", "bar", "chain", "drive-sprocket", "scrap"];
var SHARPENING = ["hand", "guide", "grinder", "never"];
var SIDES = ["A", "B"];
var jobReadings = group(
  {
    reference: words(80, { idle: recorded }),
    symptoms: someOf(SYMPTOMS),
    use: oneOf(USES),
    operatorTrained: yesNo({ means: "Decides the kickback class." }),
    brought: someOf(BROUGHT),
    sharpening: oneOf(SHARPENING),
    kickbackChoice: words(500, {
      means: "Why standard chain was chosen although low-kickback chain fits the user: the recorded choice.",
      step: "order"
    }),
    turnOver: oneOf(["never", "sometimes", "every-chain", "every-sharpening"]),
    complaint: words(2e3, { means: "In the customer's words." })
  },
  { step: "take-in", minutes: 0.2 }
);
var MOST_SERVICES = 12;
var sawReadings = group(
  {
    label: words(120, { idle: recorded }),
    mount: words(40),
    oilHole: words(40),
    maxRpm: figure({ to: 3e4 }, { means: "Revolutions per minute.", idle: goesWith("driveSprocket.teeth") }),
    turnLog: listOf(group({ came: oneOf(SIDES), went: oneOf(SIDES) }), MOST_SERVICES, {
      means: "The edge that was down at each earlier service, as the bar came and as it went back; oldest first.",
      idle: goesWith("bar.edgeDown")
    }),
    sameBar: yesNo({
      means: "False where another bar is on the saw now: then the log does not count.",
      idle: goesWith("saw.turnLog")
    })
  },
  { step: "take-in", minutes: 0.2 }
);
var STRIP_ACTS = ["power-off", "gloves", "brake-off", "cover-off", "tension-back", "bar-off"];
var stripReadings = group(
  { done: someOf(STRIP_ACTS, { acts: { askedBy: ["whole-saw"] }, idle: recorded }) },
  { step: "strip", minutes: 0.2 }
);
var CLEAN_ACTS = ["rake-groove", "clear-oil-holes", "wipe-resin", "blow-out", "light-under"];
var cleanReadings = group(
  { done: someOf(CLEAN_ACTS, { acts: { askedBy: ["whole-saw", "bar"] }, idle: recorded }) },
  { step: "clean", minutes: 0.2 }
);

// src/core/sheet/bench-sheet.ts
var EVIDENCE_IDS = [
  "chain.stamp",
  "chain.span",
  "chain.template",
  "chain.chassis",
  "chain.fileSize",
  "chain.driveLinkThickness",
  "chain.driveLinks.0",
  "chain.driveLinks.1",
  "chain.driveLinks.2",
  "chain.driveLinks.3",
  "chain.driveLinks.4",
  "chain.cutters",
  "chain.loopLength",
  "bar.stamp",
  "bar.groove",
  "bar.edges.deep",
  "bar.edges.mouth",
  "bar.nosePitch",
  "driveSprocket.pitch",
  "driveSprocket.stamp",
  "loop.tape",
  "loop.centreBack"
];
var sheetReadings = group({
  job: jobReadings,
  saw: sawReadings,
  bar: barReadings,
  chain: chainReadings,
  driveSprocket: driveSprocketReadings,
  loop: loopReadings,
  strip: stripReadings,
  clean: cleanReadings,
  refit: refitReadings,
  setAside: someOf(EVIDENCE_IDS, { step: "identify", view: "evidence", minutes: 0.2 })
});

// src/core/sheet/schema.ts
import { z as z3 } from "zod";

// src/core/reading/schema.ts
import { z as z2 } from "zod";

// src/core/reading/written-length.ts
import { z } from "zod";
var repeatsSchema = z.strictObject({
  /** One or more readings of the same place, as typed. */
  repeats: z.array(z.string()).min(1),
  instrument: z.enum(INSTRUMENT_IDS).optional()
});
var boundsSchema = z.strictObject({
  /** The largest tab that enters, or the smallest slot that the link enters. */
  enters: z.string().optional(),
  /** The smallest tab that is refused, or the largest slot that refuses the link. */
  refuses: z.string().optional()
});
function readRepeats(given, spec) {
  return parseReading(given.repeats.join(";"), spec, void 0, given.instrument);
}
function readBounds(given, spec) {
  const sides = { enters: null, refuses: null };
  for (const side of ["enters", "refuses"]) {
    const text = given[side];
    if (text === void 0) continue;
    const read4 = parseReading(text, spec);
    if (!read4.ok) return read4;
    if (read4.value.kind === "measured") sides[side] = read4.value.repeats[0];
  }
  if (sides.enters === null && sides.refuses === null) return { ok: false, error: { code: "empty" } };
  return boundedFrom(sides.enters, sides.refuses, spec);
}
function readWritten(written, spec) {
  if (typeof written === "string") return parseReading(written, spec);
  return "repeats" in written ? readRepeats(written, spec) : readBounds(written, spec);
}
function lengthSchema(spec) {
  return z.union([z.string(), repeatsSchema, boundsSchema]).transform((written, context) => {
    const read4 = readWritten(written, spec);
    if (read4.ok) return read4.value;
    const params = { length: { problem: read4.error } };
    context.addIssue({ code: "custom", message: read4.error.code, params });
    return z.NEVER;
  });
}

// src/core/reading/schema.ts
function schemaOfKind(kind) {
  switch (kind.kind) {
    case "length":
      return lengthSchema(kind.spec);
    case "count":
      return z2.int().min(kind.from).max(kind.to);
    case "number":
      return z2.number().positive().max(kind.to);
    case "choice":
      return z2.enum(kind.options);
    case "choices":
      return z2.array(z2.enum(kind.options)).max(kind.most);
    case "yes-no":
      return z2.boolean();
    case "text":
      return z2.string().max(kind.most);
  }
}
function shapeOf({ shape, must }) {
  return Object.fromEntries(
    Object.entries(shape).map(([key, member]) => {
      const schema = schemaOf(member);
      if (member.is === "list" && member.standsEmpty) return [key, schema.default([])];
      return [key, must.includes(key) ? schema : schema.optional()];
    })
  );
}
function schemaOf(declaration) {
  const { is, told } = declaration;
  const schema = is === "reading" ? schemaOfKind(declaration.kind) : is === "list" ? z2.array(schemaOf(declaration.item)).max(declaration.most) : z2.strictObject(shapeOf(declaration));
  return told.means === void 0 ? schema : schema.describe(told.means);
}

// src/core/sheet/schema.ts
var benchSheetSchema = z3.strictObject({
  format: z3.literal("serrata-bench-sheet"),
  version: z3.literal(1),
  ...shapeOf(sheetReadings)
});

// src/core/sheet/actions.ts
var OPERATIONS = [
  ...BAR_OPERATIONS,
  "file-back",
  "even-cutters",
  "file-tangs",
  "dress-straps",
  "free-tight-joints",
  "free-bearing"
];
var barWorkThat = (is) => BAR_OPERATIONS.filter((operation) => is in BAR_WORK[operation]);
var CLEANING = [...barWorkThat("cleans"), "free-bearing"];
var SEEN_TO_BE_DONE = barWorkThat("shows");

// src/core/sheet/read-sheet.ts
function showPath(path) {
  const text = path.map((step2) => typeof step2 === "number" ? `[${step2}]` : `.${String(step2)}`).join("");
  return text === "" ? "(sheet)" : text.replace(/^\./, "");
}
var show = (value2) => value2 === void 0 ? "nothing" : JSON.stringify(value2)?.slice(0, 60) ?? typeof value2;
function problemsOf(issue) {
  const path = showPath(issue.path);
  switch (issue.code) {
    case "unrecognized_keys":
      return issue.keys.map((key) => ({ path: showPath([...issue.path, key]), code: "unknown-key", key }));
    case "invalid_value":
      return [
        issue.input === void 0 ? { path, code: "missing" } : { path, code: "not-one-of", options: issue.values.map(String), given: show(issue.input) }
      ];
    case "too_small":
      return [
        {
          path,
          code: "out-of-bounds",
          bound: "min",
          limit: Number(issue.minimum),
          of: issue.origin,
          given: show(issue.input)
        }
      ];
    case "too_big":
      return [
        {
          path,
          code: "out-of-bounds",
          bound: "max",
          limit: Number(issue.maximum),
          of: issue.origin,
          given: show(issue.input)
        }
      ];
    case "invalid_union":
      return unionProblems(issue, path);
    case "custom": {
      const quantity = issue.params?.length;
      return [
        quantity ? { path, code: "quantity", issue: quantity } : { path, code: "wrong-type", expected: issue.message, given: show(issue.input) }
      ];
    }
    case "invalid_type":
      return [
        issue.input === void 0 ? { path, code: "missing" } : { path, code: "wrong-type", expected: issue.expected, given: show(issue.input) }
      ];
    default:
      return [{ path, code: "wrong-type", expected: issue.message, given: show(issue.input) }];
  }
}
function unionProblems(issue, path) {
  const given = issue.input;
  if (given === void 0) return [{ path, code: "missing" }];
  if (typeof given === "number") return [{ path, code: "bare-number", given: show(given) }];
  if (given === null || typeof given !== "object") return [{ path, code: "quantity-shape", given: show(given) }];
  const keys = Object.keys(given);
  const branch = keys.includes("repeats") ? 1 : keys.includes("enters") || keys.includes("refuses") ? 2 : -1;
  const inner = issue.errors[branch];
  if (!inner) return [{ path, code: "quantity-shape", given: show(given) }];
  return inner.flatMap((nested) => problemsOf({ ...nested, path: [...issue.path, ...nested.path] }));
}
function withoutEchoes(problems) {
  const strangers = problems.filter(({ code }) => code === "unknown-key").map(({ path }) => path.replace(/\.[^.]*$/, ""));
  return problems.filter(({ code, path }) => code !== "quantity" || !strangers.includes(path));
}
function readSheet(document) {
  const parsed = benchSheetSchema.safeParse(document, { reportInput: true });
  return parsed.success ? ok(parsed.data) : err(withoutEchoes(parsed.error.issues.flatMap(problemsOf)));
}

// src/core/sheet/places.ts
var SHEET = placeOf(sheetReadings);
var READINGS = readingsOf(SHEET);
function readingAt(path) {
  const place = placeAt(SHEET, path);
  return place?.is === "reading" ? place.reading : null;
}
var SUBJECTS = {
  "bar.pitch": { begin: "bar.stamp" },
  "bar.gauge": { begin: "bar.stamp" },
  "bar.driveLinks": { begin: "bar.stamp" },
  "chain.pitch": { begin: "chain.span.rivets" },
  "chain.gauge": { begin: "chain.driveLinkThickness" },
  "bar.edges.mouth": { begin: "bar.edges.A.stations.0.mouth" },
  "bar.edges.deep": { begin: "bar.edges.A.stations.0.deep" },
  "bar.edges.depth": { begin: "bar.edges.A.stations.0.near" },
  "bar.after": { begin: "bar.edges.A.stations.0.after.near" }
};
var isSubject = (text) => Object.hasOwn(SUBJECTS, text);
function usualToolAt(path) {
  const kind = readingAt(path)?.kind;
  return kind?.kind === "length" ? kind.spec.instrument : null;
}
var USUAL_MINUTES = 1;
function minutesFor(asked) {
  const place = placeAt(SHEET, isSubject(asked) ? SUBJECTS[asked].begin : asked);
  const told = place?.is === "reading" ? place.reading.told : place?.told;
  return told?.minutes ?? USUAL_MINUTES;
}

// src/core/sheet/station-place.ts
var stationPath = (edge3, station, field) => `bar.edges.${edge3}.stations.${station}.${field}`;

// src/core/sheet/needs.ts
var anything = () => true;
function needsWithin(place, path) {
  const { told, id } = place.is === "reading" ? place.reading : place;
  const { needed, nose = null } = told;
  const own = needed ? [
    {
      by: needed.by,
      asks: needed.asks ?? path,
      ids: [place.is === "reading" ? id : path, ...needed.orElse ?? []],
      enough: needed.enough ?? anything,
      nose
    }
  ] : [];
  if (place.is === "reading") return own;
  if (place.is === "list") return [...own, ...needsWithin(place.item, `${path}.0`)];
  return [
    ...own,
    ...[...place.members].flatMap(([key, member]) => needsWithin(member, path === "" ? key : `${path}.${key}`))
  ];
}
var NEEDS = [...new Map(needsWithin(SHEET, "").map((need) => [need.asks, need])).values()];
function valuesAt(value2, keys) {
  if (value2 === void 0 || value2 === null) return [];
  const [key, ...rest] = keys;
  if (key === void 0) return [value2];
  if (Array.isArray(value2))
    return /^\d+$/.test(key) ? valuesAt(value2[Number(key)], rest) : value2.flatMap((each) => valuesAt(each, keys));
  const group2 = value2;
  if (key === "stations" && !("stations" in group2)) return ["A", "B"].flatMap((edge3) => valuesAt(group2[edge3], keys));
  return valuesAt(group2[key], rest);
}

// src/core/sheet/own-scatter.ts
var isMeasured = (value2) => "kind" in value2 && value2.kind === "measured";
var isReading = (value2) => isMeasured(value2) || "kind" in value2 && "lo" in value2;
function gather(value2, into) {
  if (typeof value2 !== "object" || value2 === null) return;
  if (Array.isArray(value2)) for (const each of value2) gather(each, into);
  else if (!isReading(value2)) for (const key in value2) gather(value2[key], into);
  else if (isMeasured(value2)) into.push(value2);
}
function mapped(value2, change) {
  if (typeof value2 !== "object" || value2 === null) return value2;
  if (isReading(value2)) return isMeasured(value2) ? change(value2) : value2;
  if (Array.isArray(value2)) return value2.map((each) => mapped(each, change));
  return Object.fromEntries(Object.entries(value2).map(([key, each]) => [key, mapped(each, change)]));
}
function withOwnScatter(sheet2) {
  const readings = [];
  gather(sheet2, readings);
  if (readings.every(({ repeats: repeats2 }) => repeats2.length < 2)) return sheet2;
  const scatterOf2 = pooledScatter(readings);
  return mapped(sheet2, (reading2) => {
    const scatter = scatterOf2(reading2);
    return scatter === null ? reading2 : { ...reading2, scatter };
  });
}

// src/core/sheet/idle.ts
var toldOf = (place) => place.is === "reading" ? place.reading.told : place.told;
function reasonOf(place, group2, { hasLink, nose }) {
  const { idle, nose: ownNose } = toldOf(place);
  if (place.is === "reading" && ownNose !== void 0 && ownNose !== nose) return { code: "other-nose" };
  return typeof idle === "function" ? idle({ group: group2, hasLink }) : idle ?? null;
}
function gather2(place, group2, path, facts, into) {
  for (const key in group2) {
    const member = place.members.get(key);
    const value2 = group2[key];
    if (!member || value2 === void 0) continue;
    const at2 = path === "" ? key : `${path}.${key}`;
    const reason = reasonOf(member, group2, facts);
    if (reason) into.push({ measure: at2, reason });
    else within(member, value2, at2, facts, into);
  }
}
function within(place, value2, path, facts, into) {
  if (place.is === "group") gather2(place, value2, path, facts, into);
  else if (place.is === "list" && place.item.is !== "reading")
    value2.forEach((each, i) => within(place.item, each, `${path}.${i}`, facts, into));
}
function idleReadings(sheet2, hasLink) {
  const found = [];
  const nose = sheet2.bar?.nose === "hard" ? "hard" : "sprocket";
  gather2(SHEET, { ...sheet2 }, "", { hasLink, nose }, found);
  return found;
}

// src/core/judge/seen.ts
function judged(seen2, word, more) {
  const said = word === void 0 ? null : seen2.words[word];
  return make(
    { id: seen2.check, part: seen2.part, condemns: seen2.condemns, ...more },
    {
      condemns: seen2.condemns,
      kind: "observation",
      outcome: said?.outcome ?? "not-measured",
      provenance: "practice",
      observed: word ?? null,
      work: said?.work ?? null
    }
  );
}
var FINDINGS = /* @__PURE__ */ new Map();
function findingsIn(group2) {
  const known = FINDINGS.get(group2);
  if (known) return known;
  const { members } = placeAt(SHEET, group2);
  const found = [...members].flatMap(([key, member]) => {
    const { seen: seen2, nose } = member.is === "reading" ? member.reading.told : {};
    return seen2 ? [[key, seen2, nose]] : [];
  });
  FINDINGS.set(group2, found);
  return found;
}
function seenChecks(part6, group2, found, nose = "sprocket") {
  return findingsIn(group2).flatMap(([key, seen2, ownNose]) => {
    const isAsked = seen2.part === part6 && !seen2.together && (ownNose ?? nose) === nose;
    const word = found[key];
    return isAsked && (seen2.always || word !== void 0) ? [judged(seen2, word, {})] : [];
  });
}
var SEEN = new Map(READINGS.flatMap(({ id, told: { seen: seen2 } }) => seen2 ? [[id, seen2]] : []));
var seenCheck = (id, word, more = {}) => judged(SEEN.get(id), word, more);

// src/core/judge/work.ts
var isMended = ({ condemns, value: value2, work }, done) => !condemns && value2 === null && work !== null && done.includes(work);
function operationsFor(checks2, planned) {
  const wanted = [...checks2.flatMap(({ work }) => work ?? []), ...planned];
  return OPERATIONS.filter((operation) => wanted.includes(operation));
}
var openWork = (wanted, done) => wanted.filter((operation) => !done.includes(operation) || !SEEN_TO_BE_DONE.includes(operation));
var MEASURED_AGAIN = ["dress-rails", "close-rails"];
var asksToMeasureAgain = (done) => done.some((operation) => MEASURED_AGAIN.includes(operation));

// src/core/judge/missing.ts
function brought(sheet2, part6) {
  if (part6 === "driveSprocket") return sheet2.driveSprocket !== void 0;
  if (part6 === "chain") return sheet2.chain !== void 0;
  return sheet2.bar !== void 0;
}
function missingReadings(sheet2, part6) {
  const nose = sheet2.bar?.nose === "hard" ? "hard" : "sprocket";
  return NEEDS.filter((need) => need.by.includes(part6) && (need.nose === null || need.nose === nose)).filter(({ ids, enough }) => !ids.some((id) => valuesAt(sheet2, id.split(".")).some(enough))).map(({ asks }) => asks);
}

// src/core/judge/verdict.ts
function findings(condemning) {
  const made2 = READINGS.flatMap(
    ({ told: { seen: seen2 } }) => seen2?.condemns === condemning ? [seen2.check] : []
  );
  return [...new Set(made2)];
}
var CHECK_IDS = [...findings(true), ...COMPUTED_CHECKS, ...findings(false)];
var PLACE = new Map(CHECK_IDS.map((id, i) => [id, i]));
var byRank = (a, b) => PLACE.get(a.id) - PLACE.get(b.id) || (a.probability ?? 0) - (b.probability ?? 0);
function decide(part6, checks2, missing2, operations, done = []) {
  const ordered2 = checks2.filter((check) => !isMended(check, done)).sort(byRank);
  const condemning = ordered2.filter(({ condemns }) => condemns);
  const reason = (check) => ({ code: "check", check });
  const failed = condemning.filter(({ outcome }) => outcome === "fail");
  const grounds = [...worst2(failed), ...failed.filter((check) => !worst2(failed).includes(check))];
  if (failed.length > 0)
    return { part: part6, action: "replace", operations: [], reasons: grounds.map(reason), decidedBy: grounds[0] };
  const close = condemning.filter(({ outcome }) => outcome === "undecided");
  const unjudged3 = condemning.filter(({ outcome, value: value2 }) => outcome === "not-measured" && value2 !== null);
  const work = worst2(ordered2.filter((check) => !check.condemns && check.outcome === "fail"));
  const notes = ordered2.filter(({ outcome }) => outcome === "watch");
  if (missing2.length > 0 || close.length > 0 || unjudged3.length > 0) {
    const lacks = missing2.length > 0 ? [{ code: "missing", readings: missing2 }] : [];
    const decidedBy = close[0] ?? null;
    return {
      part: part6,
      action: "undecided",
      operations,
      reasons: [...close.map(reason), ...lacks, ...unjudged3.slice(0, 1).map(reason), ...work.map(reason)],
      decidedBy
    };
  }
  const sound = [{ code: "sound" }];
  if (operations.length === 0) {
    return {
      part: part6,
      action: "keep",
      operations,
      reasons: [...worst2(notes).map(reason), ...sound],
      decidedBy: tightest(condemning)
    };
  }
  const action = operations.every((operation) => CLEANING.includes(operation)) ? "clean" : "recondition";
  const reasons = [...work, ...worst2(notes)].map(reason);
  return { part: part6, action, operations, reasons, decidedBy: work[0] ?? notes[0] ?? null };
}
var notBrought = (part6) => ({
  part: part6,
  action: "undecided",
  operations: [],
  reasons: [{ code: "not-brought" }],
  decidedBy: null
});
function worst2(checks2) {
  const by = /* @__PURE__ */ new Map();
  for (const check of checks2) {
    const before = by.get(check.id);
    if (!before || excess(check) > excess(before)) by.set(check.id, check);
  }
  return [...by.values()];
}
var excess = ({ value: value2, limit: limit2, kind }) => value2 === null || limit2 === null ? 0 : kind === "min" ? limit2 - value2 : value2 - limit2;
function tightest(checks2) {
  const judged2 = checks2.filter(({ probability }) => probability !== null);
  return judged2.reduce((least, next2) => least && rank(least) <= rank(next2) ? least : next2, null);
}
var rank = (check) => -excess(check) / (check.uncertainty || 1);

// src/core/bar/checks/edge.ts
var off = (bound, by) => bound && { ...bound, value: mm(bound.value - by) };
function playAfter(station, i, plan, setting) {
  const link = setting.ownLink ?? setting.linkThickness;
  if (!link) return null;
  const before = playBounds(station, setting.tang, link);
  if (!before.lo && !before.hi) return null;
  const groove = grooveOf(station);
  const removal = Math.max(plan.removeNear[i] ?? 0, plan.removeFar[i] ?? 0);
  if (!groove || removal === 0) return before;
  const engaged = engagedAt(station, setting.tang);
  const narrower = rockingWidth(groove, engaged) - rockingWidth(grooveAfter(groove, removal), engaged);
  return { lo: off(before.lo, narrower), hi: off(before.hi, narrower) };
}
var SURELY = 2;
var SURELY_BESIDE = 0.05;
function deeperAt(station, play, context) {
  const groove = grooveOf(station);
  if (!groove || groove.deep === null || groove.deepAt === null || groove.mouth <= groove.deep) return null;
  const { mouth, deep, deepAt } = groove;
  const flare = (mouth - deep) / deepAt;
  const half = deepShare(groove, engagedAt(station, context.setting.tang)) === 1 / 2 ? 2 : 1;
  const wanted = half * (play.value - context.playLimit + SURELY * play.u + SURELY_BESIDE) / flare;
  return wanted > deepAt ? null : wanted;
}
function deeperFor(stations, plan, context) {
  const tolerance = context.limits["bar.dress.tolerance"].value;
  const wanted = stations.map((station, i) => {
    const play = playAfter(station, i, plan, context.setting)?.hi;
    if (!play || (plan.target[i] ?? null) === null || play.value <= context.playLimit + ROUNDING) return 0;
    const deeper = deeperAt(station, play, context);
    return deeper === null ? null : deeper + tolerance;
  });
  return wanted.includes(null) ? null : Math.max(0, ...wanted.map((each) => each ?? 0));
}
function dressable(station, belief, { limits, overall }) {
  const believed2 = belief?.stations[station.index];
  const keepOutFrom = overall === null ? Infinity : overall - limits["bar.dress.keep-out"].value;
  return {
    at: station.at,
    near: station.near && believed2 ? believed2.near.value : null,
    far: station.far && believed2 ? believed2.far.value : null,
    groove: grooveOf(station),
    keptOut: station.at > keepOutFrom,
    chipped: chippedDepth(station, limits["bar.dress.chip"].value),
    leaveLow: station.leaveLow
  };
}
function dressingOf(stations, belief, context) {
  const { limits, setting, depthLimit } = context;
  const rules = {
    tolerance: limits["bar.dress.tolerance"].value,
    slope: limits["bar.dress.slope"].value,
    touch: limits["bar.dress.touch"].value
  };
  const rows2 = stations.map((station) => dressable(station, belief, context));
  const levelling = dressPlan(rows2, rules);
  if (!levelling.weakest) return null;
  const stop = (plan2) => dressStop(plan2, depthLimit, setting.tang?.value ?? null);
  const deeper = deeperFor(stations, levelling, context) ?? 0;
  const deepened = deeper > 0 ? dressPlan(rows2, rules, deeper) : levelling;
  const goesDeeper = deeper > 0 && stop(deepened) === null;
  const plan = goesDeeper ? deepened : levelling;
  const stoppedBy = stop(plan);
  return {
    plan,
    stoppedBy,
    feasible: stoppedBy === null,
    advised: calledFor(plan, belief, limits["bar.step"].value),
    dressingsLeft: depthLimit === null || !plan.weakest ? null : dressingsLeft(plan.weakest.depth, depthLimit, limits["bar.dress.loss"].value),
    coarseFirst: plan.most > limits["bar.dress.coarse-first"].value,
    deeper: goesDeeper ? deeper : 0,
    exceptions: dressExceptions(rows2, rules, limits["bar.dress.exception"].value),
    effort: dressEffort(plan, {
      pass: limits["bar.dress.pass"].value,
      setup: limits["bar.dress.minutes-setup"].value,
      perPass: limits["bar.dress.minutes-per-pass"].value
    })
  };
}
var MORE_LIKELY_THAN_NOT2 = 0.5;
var SHOWN_ALL_THE_SAME = 0.85;
function calledFor(plan, belief, stepLimit) {
  if (!belief || plan.most === 0) return false;
  const doubt = Math.max(...belief.stations.map((place) => place?.step.u ?? 0));
  if (doubt > stepLimit) return belief.stepChance > SHOWN_ALL_THE_SAME;
  return belief.stepChance > MORE_LIKELY_THAN_NOT2 || plan.most > stepLimit + ROUNDING;
}
function assessEdge(stations, belief, context) {
  const figures = stations.map((station) => stationFigures(station, context.setting));
  return { stations, figures, belief, dressing: dressingOf(stations, belief, context) };
}
var measuredAgain2 = (stations) => stations.some(measuredAgainAt);

// src/core/bar/checks/blueing.ts
function blueingCauses({ bar }, edges, limits) {
  const { blueing, oilHoles, groove, grooveShape, noseTurns, nosePinch } = bar?.checks ?? {};
  if (blueing === void 0 || blueing === "no") return [];
  const room = limits["bar.floor-clearance"].value;
  const low = EDGES.some(
    (edge3) => edges[edge3].figures.some(({ floorClearance: floorClearance2 }) => floorClearance2 !== null && floorClearance2.value < room)
  );
  const tight = EDGES.some((edge3) => edges[edge3].figures.some(({ play }) => play !== null && play.value <= 0));
  const causes = [
    ["no-oil", oilHoles === "blocked"],
    ["groove-packed", groove === "packed"],
    ["link-on-floor", low],
    ["pinched", grooveShape === "pinched" || tight],
    ["nose-stiff", noseTurns === "rough" || noseTurns === "seized" || nosePinch === "yes"]
  ];
  const found = causes.flatMap(([cause, there]) => there ? [cause] : []);
  return found.length > 0 ? found : ["ran-tight-or-blunt"];
}

// src/core/chain/elongation.ts
var BEYOND_DOUBT = 2;
function elongation(closed, pulled, joints) {
  const { value: value2, u } = difference(pulled, closed);
  const play = Math.max(0, value2);
  return {
    percent: 100 * play / closed.value,
    u: 100 * u / closed.value,
    perJoint: play / joints,
    contradicts: value2 < -BEYOND_DOUBT * u
  };
}
function elongationBounds(closed, pulled) {
  const stretch = (long, short) => {
    if (!long || !short) return null;
    const { value: value2, u } = difference(long, short);
    return { value: percent(100 * Math.max(0, value2) / short.value), u: 100 * u / short.value };
  };
  return { lo: stretch(pulled.lo, closed.hi), hi: stretch(pulled.hi, closed.lo) };
}

// src/core/chain/cutters.ts
var SIDES2 = ["left", "right"];
var alike = (bound) => bound && { value: bound.value, own: ownUncertainty(bound) };
function believed(side, lengths) {
  const whole = lengths.filter(({ lo, hi }) => lo && lo === hi);
  const drawn = new Map(whole.map((bounds, i) => [bounds, believedAlike(whole.map(({ lo }) => alike(lo)))[i]]));
  return lengths.map((bounds, i) => {
    const piece = drawn.get(bounds);
    return { side, cutter: i + 1, lo: piece ?? alike(bounds.lo), hi: piece ?? alike(bounds.hi) };
  });
}
var less = (length2, off2) => length2 && off2 && { value: length2.value - off2.value, own: quadrature(length2.own, ownUncertainty(off2)) };
var value = ({ lo, hi }) => (hi ?? lo)?.value ?? Infinity;
var shorter = (a, b) => value(b) < value(a) ? b : a;
function damaged({ side, cutter }, pieces) {
  const own = pieces[side][cutter - 1];
  if (own) return own;
  const others = pieces[side].length > 0 ? pieces[side] : pieces[side === "left" ? "right" : "left"];
  return others.length > 0 ? others.reduce(shorter) : null;
}
function lengthAfterCorrection(cutters, damage) {
  const sides = { left: believed("left", cutters.left), right: believed("right", cutters.right) };
  const standing = [...sides.left, ...sides.right];
  if (standing.length === 0) return null;
  const filed = damage.flatMap((each) => {
    const on = damaged(each, sides);
    return on ? [{ side: each.side, cutter: each.cutter, lo: less(on.lo, each.setBack.hi), hi: less(on.hi, each.setBack.lo) }] : [];
  });
  const pieces = [...standing, ...filed];
  const worst3 = pieces.reduce(shorter);
  const readings = [...cutters.left, ...cutters.right].flatMap(({ lo, hi }) => lo ?? hi ?? []);
  const common = Math.max(0, ...readings.map(({ shared = 0 }) => shared));
  const isWhole = pieces.every(({ lo, hi }) => lo && hi);
  const shown = pieces.flatMap(({ lo, hi }) => hi ?? lo ?? []);
  return {
    side: worst3.side,
    cutter: worst3.cutter,
    length: shortestOf(shown, common),
    bound: isWhole ? null : worst3.hi ? "at-most" : "at-least",
    notPlaced: damage.find(({ side }) => cutters[side].length === 0)?.side ?? null,
    pieces,
    common,
    tool: readings[0]?.tool
  };
}
function correctionWithin({ pieces, common, tool }, limit2) {
  const cancels = sameTool({ value: mm(0), u: 0, ...tool ? { tool } : {} }, limit2);
  const together2 = cancels ? ownUncertainty(limit2) : quadrature(common, limit2.u);
  const side = (which) => pieces.flatMap((piece) => piece[which] ?? []);
  const [lo, hi] = [side("lo"), side("hi")];
  return {
    least: lo.length < pieces.length ? 0 : manyWithin(lo, together2, limit2.value),
    most: hi.length === 0 ? 1 : manyWithin(hi, together2, limit2.value)
  };
}
function filingsLeft(length2, limit2, lossPerFiling) {
  return Math.max(0, Math.floor((length2 - limit2) / lossPerFiling + 1e-9));
}
function imbalance(cutters) {
  const [left, right] = SIDES2.map((side) => {
    const lengths = cutters[side];
    if (lengths.length === 0) return null;
    const mean3 = lengths.reduce((sum, each) => sum + each.value, 0) / lengths.length;
    const tool = lengths[0].tool;
    const isOneTool = lengths.every((each) => each.tool !== void 0 && each.tool === tool);
    const u = (of) => Math.sqrt(lengths.reduce((sum, each) => sum + of(each) ** 2, 0)) / lengths.length;
    const own = u(isOneTool ? ownUncertainty : ({ u: whole }) => whole);
    return { mean: mean3, own, shared: isOneTool ? lengths[0].shared ?? 0 : 0, tool: isOneTool ? tool : void 0 };
  });
  if (!left || !right) return null;
  const cancels = left.tool !== void 0 && left.tool === right.tool;
  const rest = cancels ? 0 : quadrature(left.shared, right.shared);
  return { value: mm(left.mean - right.mean), u: quadrature(quadrature(left.own, right.own), rest) };
}

// src/core/bar/checks/crooked.ts
var estimates = (readings) => (readings ?? []).flatMap((reading2) => estimate(reading2) ?? []);
var mean2 = (values) => values.length === 0 ? null : values.reduce((sum, value2) => sum + value2, 0) / values.length;
var USUAL_BODY_HEIGHT = 60;
var cuttingEdge = ({ bar }) => bar?.edgeDown ?? "A";
function crookedEvidence(sheet2, edges, limits, playLimit) {
  const edge3 = cuttingEdge(sheet2);
  const leans = edges[edge3].figures.flatMap((figure2) => figure2.setLean ?? figure2.rawLean ?? []);
  const plays = EDGES.flatMap((name) => edges[name].figures.flatMap(({ play }) => play?.value ?? []));
  const cutters = imbalance({
    left: estimates(sheet2.chain?.cuttersLeft),
    right: estimates(sheet2.chain?.cuttersRight)
  });
  return {
    lean: mean2(leans),
    leanLimit: noticedLean(sheet2.bar?.bodyHeight && estimate(sheet2.bar.bodyHeight)?.value || USUAL_BODY_HEIGHT),
    play: plays.length === 0 ? null : Math.max(...plays),
    playLimit,
    cutters: cutters?.value ?? null,
    cuttersLimit: limits["chain.uneven"].value,
    nearIsRight: edge3 === "A"
  };
}

// src/core/schools/schools.ts
var SCHOOLS = {
  /** How rails are levelled. The amount to take off is the same whichever tool does it. */
  levelling: ["guided-file", "draw-file", "belt-then-file", "wood-block"],
  /** Whether splayed rails are closed at all. */
  closeRails: ["off", "on"],
  /** When a bar is turned over. */
  turnOver: ["every-chain", "every-sharpening", "when-worn"]
};
var SCHOOL_IDS = Object.keys(SCHOOLS);
var DEFAULT_SCHOOLS = { levelling: "guided-file", closeRails: "off", turnOver: "every-chain" };

// src/core/limits/limits.ts
var limit = (value2, unit, role, provenance) => ({
  value: value2,
  unit,
  role,
  provenance
});
var DEFAULT_LIMITS = {
  "bar.depth.quarter": limit(4, "mm", "min", "memory"),
  "bar.depth.325": limit(6, "mm", "min", "memory"),
  "bar.depth.38lp": limit(5, "mm", "min", "memory"),
  "bar.depth.38": limit(6, "mm", "min", "memory"),
  "bar.depth.404": limit(7, "mm", "min", "memory"),
  "bar.floor-clearance": limit(1, "mm", "min", "practice"),
  "bar.floor-clearance.contact": limit(0, "mm", "min", "derived"),
  "bar.play": limit(0.5, "mm", "max", "practice"),
  "bar.play.watch": limit(0.25, "mm", "max", "practice"),
  "bar.step": limit(0.1, "mm", "max", "practice"),
  "bar.bow": limit(0.5, "mm", "max", "practice"),
  "bar.bow.straighten": limit(0.25, "mm", "max", "shop"),
  "bar.dress.tolerance": limit(0.05, "mm", "figure", "shop"),
  "bar.dress.slope": limit(5e-3, "mm/mm", "figure", "shop"),
  "bar.dress.keep-out": limit(25, "mm", "figure", "shop"),
  "bar.dress.coarse-first": limit(0.8, "mm", "max", "practice"),
  "bar.dress.loss": limit(0.3, "mm", "figure", "shop"),
  "bar.dress.chip": limit(15, "mm", "max", "shop"),
  "bar.dress.exception": limit(0.25, "mm", "max", "shop"),
  "bar.dress.touch": limit(0.05, "mm", "figure", "practice"),
  "bar.dress.doubt": limit(0.03, "mm", "figure", "shop"),
  "bar.dress.pass": limit(0.04, "mm", "figure", "shop"),
  "bar.dress.minutes-setup": limit(4, "min", "figure", "shop"),
  "bar.dress.minutes-per-pass": limit(0.5, "min", "figure", "shop"),
  "chain.cutter": limit(4, "mm", "min", "memory"),
  "chain.filing-loss": limit(0.125, "mm", "figure", "shop"),
  "chain.elongation": limit(3, "%", "max", "memory"),
  "chain.elongation.watch": limit(1.5, "%", "max", "memory"),
  "chain.uneven": limit(0.4, "mm", "max", "practice"),
  "sprocket.wear": limit(0.5, "mm", "max", "memory"),
  "sprocket.wear.watch": limit(0.3, "mm", "max", "memory"),
  "sprocket.chains": limit(2, "count", "max", "practice")
};
var LIMIT_IDS = Object.keys(DEFAULT_LIMITS);
var DEFAULTS = DEFAULT_LIMITS;
function depthLimitId(family2) {
  return `bar.depth.${family2}`;
}

// src/core/bar/checks/depth.ts
var part = "bar";
function depthCheck(head2, value2, bound, withinOf, { families, limits }) {
  if (families.length === 0)
    return {
      ...missingCheck({ ...head2, part }, "memory", { code: "needs", readings: ["bar.pitch"] }),
      value: value2.value,
      unit: "mm",
      uncertainty: value2.u,
      kind: "min",
      bound
    };
  const total = families.reduce((sum, { weight }) => sum + weight, 0);
  const each = families.map(({ value: family2, weight }) => ({
    share: weight / total,
    within: withinOf(limits[depthLimitId(family2)].value)
  }));
  const within3 = {
    least: each.reduce((sum, { share: share2, within: { least } }) => sum + share2 * least, 0),
    most: each.reduce((sum, { share: share2, within: { most } }) => sum + share2 * most, 0)
  };
  const strictest = families.map(({ value: family2 }) => limits[depthLimitId(family2)]).sort((a, b) => b.value - a.value);
  const note = families.length === 1 ? null : { code: "depends-on-pitch", families: families.map(({ value: family2 }) => family2) };
  return judgedCheck({ ...head2, part, note }, { value: value2, within: within3, bound }, strictest[0], null);
}
function readingAt2({ sheet: sheet2 }, { edge: edge3, station, rail }) {
  const at2 = sheet2.bar?.edges?.[edge3]?.stations[station];
  return at2?.after?.[rail] ?? at2?.[rail];
}
function leastDepthCheck(least, context) {
  const at2 = context.belief.leastAt;
  const repeat = at2 && repeatOf(stationPath(at2.edge, at2.station, at2.rail), readingAt2(context, at2));
  const within3 = (limit2) => exactly(leastWithin(least, limit2));
  return depthCheck({ id: "bar.depth", at: at2, repeat }, leastValue(least), null, within3, context);
}
function oneSidedDepths(context) {
  return EDGES.flatMap(
    (edge3) => context.edges[edge3].stations.flatMap(
      ({ index, oneSided: oneSided2 }) => RAILS.flatMap((rail) => {
        const reading2 = oneSided2[rail];
        if (!reading2) return [];
        const { lo, hi } = boundsOf(reading2);
        const head2 = {
          id: "bar.depth",
          at: { edge: edge3, station: index, rail },
          repeat: repeatOf(stationPath(edge3, index, rail), reading2, usualToolAt(stationPath(edge3, index, rail)))
        };
        const within3 = (limit2) => readingWithin(reading2, limit2, "min");
        return [depthCheck(head2, lo ?? hi, lo ? "at-least" : "at-most", within3, context)];
      })
    )
  );
}
function roomWithin(least, { lo, hi }, limit2) {
  const at2 = (tang) => leastWithin({ draws: least.draws, common: quadrature(least.common, tang.u) }, limit2 + tang.value);
  return { least: hi ? at2(hi) : 0, most: lo ? at2(lo) : 1 };
}
function floorClearanceChecks(least, context) {
  const { sheet: sheet2, limits, belief } = context;
  const reading2 = sheet2.chain?.tang;
  if (!reading2) return [];
  const tang = boundsOf(reading2);
  const shown = tang.hi ?? tang.lo;
  const limit2 = limits["bar.floor-clearance.contact"];
  const at2 = belief.leastAt;
  const judged2 = {
    value: difference(leastValue(least), shown),
    within: roomWithin(least, tang, limit2.value),
    bound: tang.hi && tang.lo ? null : tang.hi ? "at-least" : "at-most"
  };
  const repeat = at2 && repeatOf(stationPath(at2.edge, at2.station, at2.rail), readingAt2(context, at2));
  const head2 = { id: "bar.floor-clearance", part, at: at2, repeat };
  return [judgedCheck(head2, judged2, limit2, limits["bar.floor-clearance"])];
}
function weakestAfter(edge3, { plan }, context) {
  const { edges, belief, limits } = context;
  const { station, depth: depth2 } = plan.weakest;
  const believed2 = edges[edge3].belief?.stations[edges[edge3].stations[station].index];
  const before = believed2 && (believed2.near.value <= believed2.far.value ? believed2.near : believed2.far);
  const here = { value: depth2, u: before?.u ?? 0 };
  const least = belief.leastAt?.edge === edge3 && belief.least ? leastValue(belief.least) : null;
  const touched = least && { value: mm(least.value - limits["bar.dress.touch"].value), u: least.u };
  const weakest = touched && touched.value < here.value ? touched : here;
  return { value: weakest.value, u: quadrature(weakest.u, limits["bar.dress.doubt"].value) };
}
function afterDressing(edge3, dressing, context) {
  const { limits, setting, edges } = context;
  const left = weakestAfter(edge3, dressing, context);
  const at2 = { edge: edge3, station: edges[edge3].stations[dressing.plan.weakest.station].index };
  const repeat = repeatOf(stationPath(edge3, at2.station, "near"), readingAt2(context, { ...at2, rail: "near" }));
  const within3 = (limit3) => exactly(probabilityWithin(left, limit3, "min"));
  const depth2 = depthCheck({ id: "bar.depth-after", at: at2, repeat }, left, null, within3, context);
  if (!setting.tang) return [depth2];
  const room = { value: mm(left.value - setting.tang.value), u: quadrature(left.u, ownUncertainty(setting.tang)) };
  const limit2 = limits["bar.floor-clearance.contact"];
  const head2 = { id: "bar.floor-clearance-after", part, at: at2, repeat };
  const judged2 = { value: room, within: exactly(probabilityWithin(room, limit2.value, "min")) };
  return [depth2, judgedCheck(head2, judged2, limit2, limits["bar.floor-clearance"])];
}
function depthChecks(context) {
  const { belief, edges } = context;
  const { least } = belief;
  return [
    ...least ? [leastDepthCheck(least, context), ...floorClearanceChecks(least, context)] : [],
    ...oneSidedDepths(context),
    ...EDGES.flatMap((edge3) => {
      const { dressing } = edges[edge3];
      return dressing?.advised ? afterDressing(edge3, dressing, context) : [];
    })
  ];
}

// src/core/bar/checks/level.ts
var part2 = "bar";
function steepest({
  belief
}) {
  let found = null;
  belief?.stations.forEach((place, station) => {
    if (place && (!found || Math.abs(place.step.value) > found.value))
      found = { station, value: Math.abs(place.step.value), u: place.step.u };
  });
  return found;
}
function stepCheck(edge3, { edges, limits }) {
  const assessed = edges[edge3];
  const measured2 = assessed.stations.some((station) => step(station) !== null || station.square || station.marker);
  const most = steepest(assessed);
  if (!measured2 || !most || !assessed.belief) return [];
  const advised = assessed.dressing?.advised ?? false;
  const limit2 = limits["bar.step"];
  const takes = advised && assessed.belief.stepChance <= 1 / 2;
  const value2 = takes ? { value: mm(assessed.dressing.plan.most), u: 0 } : { value: mm(most.value), u: most.u };
  const head2 = {
    id: "bar.step",
    part: part2,
    at: { edge: edge3, station: most.station },
    condemns: false,
    note: takes ? { code: "dressing-takes" } : null
  };
  const check = judgedCheck(head2, { value: value2, within: exactly(1 - assessed.belief.stepChance) }, limit2, null);
  return [{ ...check, outcome: advised ? "fail" : "ok" }];
}
function testCheck(id, at2, disagrees) {
  if (disagrees === null) return [];
  const word = disagrees ? "disagrees" : "agrees";
  return [observedCheck({ id, part: part2, at: at2 }, word, { agrees: "ok", disagrees: "watch" })];
}
function testChecks(edge3, { edges, sheet: sheet2 }) {
  const { stations } = edges[edge3];
  const whole = meanStep(stations);
  const stands = standsSays(sheet2.bar?.edges?.[edge3]?.stands ?? null);
  return [
    ...stations.flatMap((station) => {
      const at2 = { edge: edge3, station: station.index };
      const measured2 = step(station);
      return [
        ...testCheck("bar.marker", at2, testDisagrees(markerSaysStep(station), measured2)),
        ...testCheck("bar.square", at2, testDisagrees(squareSays(station), measured2))
      ];
    }),
    ...testCheck("bar.stands", { edge: edge3 }, testDisagrees(stands, whole && { value: mm(whole.value), u: whole.u }))
  ];
}
function levelChecks(context) {
  return EDGES.flatMap((edge3) => [...stepCheck(edge3, context), ...testChecks(edge3, context)]);
}

// src/core/bar/checks/play.ts
var part3 = "bar";
function playWithin(widest2, { ownLinks, playLimit }) {
  const total = ownLinks.reduce((sum, { weight }) => sum + weight, 0);
  return ownLinks.reduce(
    (sum, { thickness, weight }) => sum + weight / total * leastWithin(playAtWidest(widest2, thickness), -playLimit.value),
    0
  );
}
function within2({ atMost, atLeast: atLeast2, open }, context) {
  const least = atMost && !open ? playWithin(atMost, context) : 0;
  const most = atLeast2 ? playWithin(atLeast2, context) : 1;
  return { least: Math.min(least, most), most };
}
var playValue = (widest2, link) => positive(leastValue(playAtWidest(widest2, link)));
function boundNote({ atMost, atLeast: atLeast2 }, lifted) {
  if (!atLeast2) return { code: "mouth-alone", lifted };
  return atMost ? null : { code: "floor-alone" };
}
function unjudged(head2, shown, mouth, { ownLinks, playLimit }) {
  const [link] = ownLinks;
  const reading2 = link ? stationPath(head2.at.edge, head2.at.station, "mouth") : "bar.gauge";
  const width2 = shown ? positive(leastValue(shown.negative)) : mouth && boundsOf(mouth).lo;
  const value2 = link ? difference(width2, link.thickness) : width2;
  return {
    ...missingCheck(head2, playLimit.provenance, { code: "needs", readings: [reading2] }),
    value: value2.value,
    uncertainty: value2.u,
    unit: "mm",
    kind: "max",
    bound: shown ? null : "at-least",
    condemns: head2.condemns ?? true
  };
}
var CLOSE_RAILS = { operation: "close-rails", from: "fail" };
function widestCheck(id, widths, condemns, context) {
  const { limits, playLimit, ownLinks, sheet: sheet2 } = context;
  const shown = widths.atLeast && widths.atMost ? widths.atMost : widths.atLeast ?? widths.atMost;
  const at2 = shown?.at ?? widths.open;
  if (!at2) return [];
  const station = sheet2.bar?.edges?.[at2.edge]?.stations[at2.station];
  const field = widths.atLeast ? "mouth" : "deep";
  const place = stationPath(at2.edge, at2.station, field);
  const repeat = repeatOf(place, station?.mouth ?? station?.deep, usualToolAt(place));
  const work = id === "bar.play-after" ? { work: CLOSE_RAILS } : {};
  const head2 = { id, part: part3, at: at2, repeat, condemns, ...work };
  const [link] = ownLinks;
  if (!link || !shown) return [unjudged(head2, shown, station?.mouth, context)];
  const known = within2(widths, context);
  const lifted = sheet2.bar?.checks?.straightEdge === "gap-stays" && !context.thinChain;
  const note = boundNote(widths, lifted);
  const bound = widths.atMost && widths.atLeast ? null : widths.atMost ? "at-most" : "at-least";
  const check = judgedCheck(
    { ...head2, note },
    { value: playValue(shown, link.thickness), within: known, bound },
    playLimit,
    limits["bar.play.watch"]
  );
  return [
    note?.code === "mouth-alone" && lifted && outcomeWithin(known) === "undecided" ? { ...check, outcome: "watch" } : check
  ];
}
function pinchChecks({ edges, setting, playLimit }) {
  const read4 = EDGES.flatMap((edge3) => edges[edge3].figures.filter(({ play }) => play !== null)).length;
  return EDGES.flatMap(
    (edge3) => edges[edge3].figures.flatMap(({ play }, i) => {
      if (!play || !(setting.ownLink ?? setting.linkThickness) || !isPinched(play, read4)) return [];
      const at2 = { edge: edge3, station: edges[edge3].stations[i].index };
      const head2 = { id: "bar.play", part: part3, at: at2, condemns: false, note: { code: "pinches" } };
      const check = judgedCheck(head2, { value: play, within: { least: 1, most: 1 } }, playLimit, null);
      return [withOutcome(check, "fail", "ease-pinch")];
    })
  );
}
var widestAllowed = ({ ownLinks, playLimit }) => ownLinks.map(({ thickness }) => thickness.value + playLimit.value);
function widthsAfter(context) {
  const { edges, setting } = context;
  if (!EDGES.some((edge3) => edges[edge3].dressing?.advised)) return null;
  const link = context.ownLinks[0]?.thickness;
  const after2 = (edge3, i) => {
    const { stations, dressing } = edges[edge3];
    const station = stations[i];
    const now = rockingBounds(station, setting.tang);
    if (!dressing?.advised || !link) return now;
    const [before, then] = [
      difference(now.hi ?? now.lo ?? link, link),
      playAfter(station, i, dressing.plan, { ...setting, ownLink: link })
    ];
    const narrower = then ? before.value - (then.hi ?? then.lo).value : 0;
    const less2 = (bound) => bound && { ...bound, value: bound.value - narrower };
    return { lo: less2(now.lo), hi: less2(now.hi) };
  };
  return widthBelief(
    { A: edges.A.stations, B: edges.B.stations },
    (edge3, _station, i) => after2(edge3, i),
    widestAllowed(context),
    context.designs
  );
}
function straightEdgeCheck(context, before, after2) {
  const { sheet: sheet2, straightEdgePredicted, straightEdgeAtLeast, thinChain } = context;
  const observed = sheet2.bar?.checks?.straightEdge;
  const isWell = (check2) => check2?.outcome === "ok" || check2?.outcome === "watch";
  const recovers = before?.outcome === "fail" && isWell(after2);
  const check = seenCheck("bar.checks.straightEdge", observed, { condemns: !recovers });
  if (observed === void 0) return check;
  if (thinChain && observed !== "gap-stays")
    return { ...check, outcome: "watch", condemns: false, note: { code: "thin-chain" } };
  const predicted = observed === "gap-stays" ? straightEdgeAtLeast : straightEdgePredicted;
  if (predicted === null || observed === "gap-stays" === (predicted === "gap-stays")) return check;
  return { ...check, outcome: "undecided", condemns: true, note: { code: "test-disagrees", observed, predicted } };
}
function playChecks(context) {
  const { edges, setting, schools } = context;
  const stations = { A: edges.A.stations, B: edges.B.stations };
  const now = widthBelief(
    stations,
    (_edge, station) => rockingBounds(station, setting.tang),
    widestAllowed(context),
    context.designs
  );
  const then = widthsAfter(context);
  const after2 = then ? widestCheck("bar.play-after", then, schools.closeRails === "off", context) : [];
  const before = widestCheck("bar.play", now, after2.length === 0, context);
  return [...before, ...pinchChecks(context), ...after2, straightEdgeCheck(context, before[0], after2[0])];
}

// src/core/bar/checks/seen.ts
var part4 = "bar";
function bowCheck({ sheet: sheet2, limits }) {
  const bow = sheet2.bar?.checks?.bow;
  if (!bow)
    return missingCheck({ id: "bar.bow", part: part4 }, limits["bar.bow"].provenance, {
      code: "needs",
      readings: ["bar.checks.bow"]
    });
  const work = { operation: "straighten", from: "watch" };
  const head2 = { id: "bar.bow", part: part4, repeat: repeatOf("bar.checks.bow", bow), work };
  return readingCheck(head2, bow, limits["bar.bow"], limits["bar.bow.straighten"]);
}
function blueingCheck({ sheet: sheet2, blueing }) {
  const note = blueing.length > 0 ? { code: "causes", causes: blueing } : null;
  return seenCheck("bar.checks.blueing", sheet2.bar?.checks?.blueing, { note });
}
function grooveShapeCheck({ sheet: sheet2, schools }) {
  const shape = sheet2.bar?.checks?.grooveShape;
  if (shape === void 0) return [];
  const check = seenCheck("bar.checks.grooveShape", shape);
  return [shape === "splayed" && schools.closeRails === "on" ? withOutcome(check, "fail", "close-rails") : check];
}
function observations(context) {
  return [
    ...seenChecks("bar", "bar.checks", context.sheet.bar?.checks ?? {}),
    bowCheck(context),
    blueingCheck(context),
    ...grooveShapeCheck(context)
  ];
}
function stationsSeen({ sheet: sheet2, limits, edges }) {
  return EDGES.flatMap(
    (edge3) => edges[edge3].stations.flatMap((station) => [
      ...burrChecks(edge3, station.index, sheet2),
      ...chipChecks(edge3, station, limits)
    ])
  );
}
function chipChecks(edge3, { index, chips }, limits) {
  return RAILS.flatMap((rail) => {
    const chip2 = chips[rail];
    if (!chip2) return [];
    const head2 = { id: "bar.chip", part: part4, at: { edge: edge3, station: index, rail } };
    const check = workCheck(head2, { value: mm(chip2.length), u: 0 }, limits["bar.dress.chip"]);
    return [withOutcome(check, "watch")];
  });
}
function burrChecks(edge3, index, sheet2) {
  const station = sheet2.bar?.edges?.[edge3]?.stations[index];
  return RAILS.flatMap((rail) => {
    const field = rail === "near" ? "burrNear" : "burrFar";
    const word = station?.[field];
    return word ? [seenCheck(`bar.edges.stations.${field}`, word, { at: { edge: edge3, station: index, rail } })] : [];
  });
}

// src/core/bar/checks/all.ts
function barChecks(context) {
  return [
    ...observations(context),
    ...depthChecks(context),
    ...playChecks(context),
    ...levelChecks(context),
    ...stationsSeen(context)
  ];
}

// src/core/bar/checks/bar.ts
var read = (reading2) => reading2 ? estimate(reading2) : null;
var NOMINAL_THICKNESS_U = 0.01;
var nominal = (gauge2) => ({ value: GAUGES[gauge2].thickness, u: NOMINAL_THICKNESS_U });
var LIVE = 0.05;
function ownLinksOf(sheet2, { bar, chain }) {
  const one = (gauge2, thickness) => [{ gauge: gauge2, thickness, weight: 1 }];
  if (bar.gauge.value !== null) return one(bar.gauge.value, nominal(bar.gauge.value));
  if (bar.gauge.status === "conflict") return [];
  const open = bar.gauge.candidates.filter(({ weight }) => weight >= LIVE);
  const fromChain = chain.gauge.value;
  if (fromChain !== null && (open.length === 0 || open.some(({ value: value2 }) => value2 === fromChain)))
    return one(fromChain, nominal(fromChain));
  if (open.length > 0) return open.map(({ value: value2, weight }) => ({ gauge: value2, thickness: nominal(value2), weight }));
  const measuredLink = read(sheet2.chain?.driveLinkThickness);
  return measuredLink ? one(null, measuredLink) : [];
}
function linkThickness(sheet2, identity) {
  const measuredValue = read(sheet2.chain?.driveLinkThickness);
  if (measuredValue) return measuredValue;
  const gauge2 = identity.chain.gauge.value ?? identity.bar.gauge.value;
  return gauge2 ? nominal(gauge2) : null;
}
function settingOf(sheet2, identity, ownLinks) {
  const gauge2 = identity.bar.gauge.value ?? identity.chain.gauge.value;
  return {
    linkThickness: linkThickness(sheet2, identity),
    ownLink: ownLinks[0]?.thickness ?? null,
    tang: read(sheet2.chain?.tang),
    barThickness: read(sheet2.bar?.thickness)?.value ?? null,
    newGroove: gauge2 ? GAUGES[gauge2].thickness : null
  };
}
var THINNER_BY = 0.1;
var isThin = ({ linkThickness: link, ownLink }) => link !== null && ownLink !== null && ownLink.value - link.value > THINNER_BY;
function cutterGeometry(sheet2) {
  const [kerf, tipHeight, barThickness] = [
    read(sheet2.chain?.kerf),
    read(sheet2.chain?.tipHeight),
    read(sheet2.bar?.thickness)
  ];
  return kerf && tipHeight && barThickness ? { kerf: kerf.value, tipHeight: tipHeight.value, barThickness: barThickness.value } : null;
}
function playLimitOf(cutter, setting, fallback) {
  const link = setting.ownLink ?? setting.linkThickness;
  if (!cutter || !link || !setting.tang) return fallback;
  const derived = derivedPlayLimit(cutter, link.value, setting.tang.value);
  return derived ? { ...fallback, value: derived.play, provenance: "derived" } : fallback;
}
function pitchCandidates(identity) {
  const own = identity.bar.pitch.candidates.length > 0 && identity.bar.pitch.why.some(({ code }) => code === "pitch-mark");
  const candidates = own ? identity.bar.pitch.candidates : identity.chain.pitch.candidates;
  return candidates.filter(({ weight }) => weight >= 0.05);
}
function worstPlace({ edges }) {
  const lost = (place) => "lost" in place ? place.lost : place.code === "even" ? 0 : -1;
  const [a, b] = [wearPlace("A", edges.A), wearPlace("B", edges.B)];
  return lost(b) > lost(a) ? b : a;
}
function straightEdge(stations, setting, cutter, side) {
  const link = setting.linkThickness;
  if (!cutter || !link) return null;
  const rocks = EDGES.flatMap(
    (edge3) => stations[edge3].flatMap((station) => {
      const engaged = engagedAt(station, setting.tang);
      const width2 = rockingBounds(station, setting.tang)[side];
      return engaged && width2 ? [rock(width2.value, link.value, engaged)] : [];
    })
  );
  if (rocks.length === 0) return null;
  return predictStraightEdge(
    rocks.reduce((most, each) => each > most ? each : most),
    cutter
  );
}
var loggedTurns = ({ saw, bar }) => turnsIn(saw?.sameBar === false ? [] : saw?.turnLog ?? [], bar?.edgeDown);
function assessBar(sheet2, identity, limits, schools = DEFAULT_SCHOOLS) {
  const ownLinks = ownLinksOf(sheet2, identity);
  const setting = settingOf(sheet2, identity, ownLinks);
  const cutter = cutterGeometry(sheet2);
  const playLimit = playLimitOf(cutter, setting, limits["bar.play"]);
  const families = pitchCandidates(identity);
  const depthLimit = families.length === 0 ? null : Math.max(...families.map(({ value: value2 }) => limits[depthLimitId(value2)].value));
  const overall = read(sheet2.bar?.overallLength)?.value ?? null;
  const edgeContext = { setting, limits, depthLimit, playLimit: playLimit.value, overall };
  const contact = setting.tang ? [setting.tang.value + limits["bar.floor-clearance.contact"].value] : [];
  const asked = {
    depths: [...families.map(({ value: value2 }) => limits[depthLimitId(value2)].value), ...contact],
    step: limits["bar.step"].value
  };
  const stands = { A: sheet2.bar?.edges?.A?.stands ?? null, B: sheet2.bar?.edges?.B?.stands ?? null };
  const first = { A: stationsOf(sheet2.bar, "A"), B: stationsOf(sheet2.bar, "B") };
  const designs = designsOfSheet();
  const belief = barBelief(first, stands, asked, designs);
  const assessed = (stations, believed2) => ({
    A: assessEdge(stations.A, believed2.edges.A, edgeContext),
    B: assessEdge(stations.B, believed2.edges.B, edgeContext)
  });
  const edges = assessed(first, belief);
  const again = { A: measuredAgain2(first.A), B: measuredAgain2(first.B) };
  const isAgain = again.A || again.B;
  const now = isAgain ? { A: first.A.map(standingStation), B: first.B.map(standingStation) } : first;
  const standsNow = { A: again.A ? null : stands.A, B: again.B ? null : stands.B };
  const believedNow = isAgain ? barBelief(now, standsNow, asked, designs) : belief;
  const standing = isAgain ? assessed(now, believedNow) : edges;
  const turned = loggedTurns(sheet2);
  const causes = blueingCauses(sheet2, standing, limits);
  const straightEdgePredicted = straightEdge(now, setting, cutter, "hi");
  const context = {
    sheet: sheet2,
    limits,
    schools,
    blueing: causes,
    edges: standing,
    belief: believedNow,
    designs,
    setting,
    families,
    ownLinks,
    thinChain: isThin(setting),
    depthLimit,
    playLimit,
    straightEdgePredicted,
    straightEdgeAtLeast: straightEdge(now, setting, cutter, "lo")
  };
  return {
    edges,
    standing,
    belief: believedNow,
    measuredAgain: isAgain,
    wearPlace: worstPlace(belief),
    blueingCauses: causes,
    crooked: crookedCauses(crookedEvidence(sheet2, edges, limits, playLimit.value)),
    setting,
    depthLimit,
    playLimit,
    cutter,
    straightEdgePredicted,
    wearPattern: wearPattern(first, sheet2.job?.turnOver, turned),
    turned,
    edgeDownNext: edgeDownNext(believedNow.edges),
    checks: barChecks(context)
  };
}

// src/core/identify/stamp.ts
var MARKED_LINKS = [/^(?:dl|d\.l\.|#|⬡)\s*(\d{2,3})$/i, /^(\d{2,3})\s*(?:dl|d\.l\.|e|links?|drive links?)$/i];
var MM_GAUGES = { "1.1": ".043", "1.3": ".050", "1.5": ".058", "1.6": ".063" };
var PLAUSIBLE_LINKS = { lo: 28, hi: 250 };
var PLAUSIBLE_INCHES = { lo: 6, hi: 36 };
var PLAUSIBLE_CM = { lo: 15, hi: 90 };
var PLAUSIBLE_TEETH = { lo: 4, hi: 20 };
var PIECE = new RegExp(
  [
    String.raw`\d+(?:[.,]\d+)?\s*(?:cm|mm|inch(?:es)?|in\b\.?|["”″])`,
    String.raw`(?:0?\.325|325|0?\.404|404|1/4|3/8)(?=[-x×]\d{1,2}\b)`,
    String.raw`[-x×]\d{1,2}\s*(?:t|z|teeth)?\b`,
    String.raw`\d{1,2}\s*(?:teeth|t|z)\b`,
    String.raw`3/8\s*(?:lp|low\s*profile|p)?(?![\w/])`,
    String.raw`\d{2,3}\s*(?:drive\s*links?|links?|d\.l\.|dl|e)(?![\w])`,
    String.raw`(?:dl|d\.l\.|#|⬡)\s*\d{2,3}`,
    String.raw`[^\s;|]+`
  ].map((pattern) => `(?:${pattern})`).join("|"),
  "giu"
);
function pitchMeanings(text) {
  const flat = text.toLowerCase().replace(/\s+/g, "");
  if (/^3\/8(lp|lowprofile|p)$/.test(flat)) return [{ property: "pitch", value: "38lp" }];
  if (/^(3\/8|0?\.375)$/.test(flat)) return [{ property: "pitch", value: "3/8" }];
  if (/^(1\/4|0?\.250?)$/.test(flat)) return [{ property: "pitch", value: "quarter" }];
  if (/^(0?\.325|325)$/.test(flat)) return [{ property: "pitch", value: "325" }];
  if (/^(0?\.404|404)$/.test(flat)) return [{ property: "pitch", value: "404" }];
  if (/^(3\/4|0?\.750?)$/.test(flat)) return [{ property: "outOfScope", what: "harvester-pitch" }];
  return [];
}
function gaugeMeanings(text) {
  const flat = text.toLowerCase().replace(/,/g, ".").replace(/(mm|in\.?|["”″])$/, "").trim();
  if (/^0?\.080$/.test(flat)) return [{ property: "outOfScope", what: "harvester-gauge" }];
  const byMm = MM_GAUGES[flat];
  if (byMm && !/["”″]|in/.test(text)) return [{ property: "gauge", value: byMm }];
  const inchForm = /^0?\.?0(\d{2})$/.exec(flat) ?? (/mm/.test(text) ? null : /^(\d{2})$/.exec(flat));
  const id = inchForm ? GAUGE_IDS.find((gauge2) => gauge2 === `.0${inchForm[1]}`) : void 0;
  return id ? [{ property: "gauge", value: id }] : [];
}
function lengthMeanings(text) {
  const match = /^(\d+(?:[.,]\d+)?)\s*(cm|inch(?:es)?|in\.?|["”″])?$/i.exec(text);
  if (!match) return [];
  const value2 = Number(match[1].replace(",", "."));
  const unit = match[2]?.toLowerCase();
  if (unit === "cm") return [{ property: "listedLength", value: mm(value2 * 10) }];
  if (unit) return [{ property: "listedLength", value: inches(value2) }];
  const meanings = [];
  if (!Number.isInteger(value2)) return meanings;
  if (value2 >= PLAUSIBLE_INCHES.lo && value2 <= PLAUSIBLE_INCHES.hi)
    meanings.push({ property: "listedLength", value: inches(value2) });
  if (value2 >= PLAUSIBLE_CM.lo && value2 % 5 === 0 && value2 <= PLAUSIBLE_CM.hi)
    meanings.push({ property: "listedLength", value: mm(value2 * 10) });
  return meanings;
}
function linkMeanings(text) {
  for (const pattern of MARKED_LINKS) {
    const match = pattern.exec(text);
    if (match) return [{ property: "driveLinks", value: Number(match[1]), marked: true }];
  }
  const bare = /^\d{2,3}$/.test(text) ? Number(text) : NaN;
  const plausible = bare >= PLAUSIBLE_LINKS.lo && bare <= PLAUSIBLE_LINKS.hi;
  return plausible ? [{ property: "driveLinks", value: bare, marked: false }] : [];
}
function teethMeanings(text) {
  const match = /^(?:[-x×](\d{1,2})\s*(?:t|z|teeth)?|(\d{1,2})\s*(?:teeth|t|z))$/i.exec(text);
  const teeth = Number(match?.[1] ?? match?.[2]);
  return teeth >= PLAUSIBLE_TEETH.lo && teeth <= PLAUSIBLE_TEETH.hi ? [{ property: "teeth", value: teeth }] : [];
}
function tokenMeanings(text) {
  const teeth = teethMeanings(text);
  if (teeth.length > 0) return teeth;
  const pitch = pitchMeanings(text);
  if (pitch.length > 0 && !/^\d{3}$/.test(text)) return pitch;
  const gauge2 = gaugeMeanings(text);
  if (gauge2.length > 0 && !/^\d{2}$/.test(text)) return gauge2;
  return [...pitch, ...gauge2, ...linkMeanings(text), ...lengthMeanings(text)];
}
var readBefore2 = /* @__PURE__ */ new Map();
var MOST_REMEMBERED2 = 500;
function readStamp(text) {
  const before = readBefore2.get(text);
  if (before) return before;
  const stamp = takenApart(text);
  if (readBefore2.size >= MOST_REMEMBERED2) readBefore2.clear();
  readBefore2.set(text, stamp);
  return stamp;
}
function takenApart(text) {
  const tokens = [];
  for (const match of text.matchAll(PIECE)) {
    const piece = match[0].replace(/^[,;()[\]]+|[,;()[\]]+$/g, "").trim();
    if (piece === "" || /^[x×/·|-]+$/.test(piece)) continue;
    const start = match.index + match[0].indexOf(piece);
    tokens.push({ text: piece, start, end: start + piece.length, meanings: tokenMeanings(piece) });
  }
  return { text, tokens };
}
function stated(stamp, property) {
  return stamp.tokens.flatMap((token) => {
    const [only, ...others] = token.meanings;
    if (!only || others.length > 0 || only.property !== property) return [];
    return [{ token: token.text, meaning: only }];
  });
}

// src/core/identify/combine.ts
var CONTRADICTION = 0.035;
var LISTED_WEIGHT = 1e-3;
var MARK_ERROR = 0.03;
var CROSS_CHECK_ERROR = 0.01;
var misread = (error, ways = 1) => error / (1 - error) / ways;
function scaled(candidates, likelihood) {
  const values = new Map(candidates.map((candidate) => [candidate, likelihood(candidate)]));
  const best = Math.max(...values.values(), 0);
  return (candidate) => best === 0 ? 0 : (values.get(candidate) ?? 0) / best;
}
function naming(named, reason, doubt, mark = false) {
  return { reason, mark, weightOf: (candidate) => named.includes(candidate) ? 1 : doubt };
}
function contradiction(candidates, evidence, mayContradict = () => true) {
  for (const [i, first] of evidence.entries()) {
    for (const second of evidence.slice(i + 1)) {
      const together2 = Math.max(
        ...candidates.map((candidate) => first.weightOf(candidate) * second.weightOf(candidate))
      );
      if (together2 < CONTRADICTION && mayContradict(first, second))
        return { code: "disagree", first: first.reason, second: second.reason };
    }
  }
  return null;
}
function ranked(weights) {
  const total = weights.reduce((sum, { weight }) => sum + weight, 0);
  if (total === 0) return [];
  return weights.map(({ value: value2, weight }) => ({ value: value2, weight: weight / total })).filter(({ weight }) => weight >= LISTED_WEIGHT).sort((a, b) => b.weight - a.weight);
}
function concluded(candidates, reasons, clash, maySettle = true) {
  if (clash)
    return { status: "conflict", value: null, candidates, why: [clash, ...reasons], settledBy: null, onMark: null };
  const top = candidates[0];
  if (top && top.weight >= SURE && maySettle)
    return { status: "settled", value: top.value, candidates, why: reasons, settledBy: null, onMark: null };
  return {
    status: "open",
    value: null,
    candidates,
    why: reasons.length > 0 ? reasons : [{ code: "nothing-known" }],
    settledBy: null,
    onMark: null
  };
}

// src/core/identify/pitch.ts
var MAX_STRETCH = 0.03;
var STRETCH_STEPS = 12;
var FITS_NONE_BEYOND = 4;
var NEGLIGIBLE_BEYOND = 9;
function pitchFromSpan(span, rivets) {
  const k = rivets - 1;
  return { pitch: mm(span.value / k), u: span.u / k };
}
function pitchLikelihood(pitch, u, family2) {
  if (distance(pitch, u, family2) > NEGLIGIBLE_BEYOND) return 0;
  const [lo, hi] = FAMILIES[family2].unworn;
  let sum = 0;
  for (let i = 0; i <= STRETCH_STEPS; i += 1) {
    const stretch = 1 + MAX_STRETCH * i / STRETCH_STEPS;
    const weight = i === 0 || i === STRETCH_STEPS ? 0.5 : 1;
    const inside = normalCdf((hi * stretch - pitch) / u) - normalCdf((lo * stretch - pitch) / u);
    sum += weight * inside / ((hi - lo) * stretch);
  }
  return sum / STRETCH_STEPS;
}
function distance(pitch, u, family2) {
  const [lo, hi] = FAMILIES[family2].unworn;
  return Math.max(0, lo - pitch, pitch - hi * (1 + MAX_STRETCH)) / u;
}
var fits = (pitch, u) => FAMILY_IDS.some((family2) => distance(pitch, u, family2) <= FITS_NONE_BEYOND);
function spanEvidence(length2, rivets) {
  const span = estimate(length2);
  if (!span) return null;
  const { pitch, u } = pitchFromSpan(span, rivets);
  if (Math.abs(pitch - HARVESTER_PITCH) < 0.6) return { code: "harvester-pitch" };
  if (!fits(pitch, u)) {
    const miscounted = [rivets + 1, rivets - 1].find(
      (count2) => count2 > 2 && fits(span.value / (count2 - 1), span.u / (count2 - 1))
    );
    return { code: "span-fits-none", pitch, rivets, miscounted: miscounted ?? null };
  }
  return {
    reason: { code: "span", pitch, u, rivets },
    weightOf: scaled(FAMILY_IDS, (family2) => pitchLikelihood(pitch, u, family2))
  };
}
function familiesOfMark(mark) {
  return mark === "3/8" ? ["38lp", "38"] : [mark];
}
function pitchMarkEvidence(marks, on, text) {
  const isMark = on !== "template";
  const doubt = isMark ? misread(MARK_ERROR, FAMILY_IDS.length - 1) : misread(CROSS_CHECK_ERROR);
  return naming(marks.flatMap(familiesOfMark), { code: "pitch-mark", on, value: marks[0], text }, doubt, isMark);
}
var FILE_ERROR = 0.1;
var FILE_STEP = 0.2;
function familiesOfFile(diameter) {
  const near = (size) => Math.abs(size - diameter) < FILE_STEP;
  return FAMILY_IDS.filter((family2) => near(FAMILIES[family2].file) || family2 === "38" && near(OLDER_FILE_38));
}
var OLDER_FILE_38 = 5.5;
function fileEvidence(size) {
  const diameter = estimate(size)?.value;
  if (diameter === void 0) return null;
  const families = familiesOfFile(diameter);
  if (families.length === 0) return { code: "file-fits-none", diameter };
  return {
    reason: { code: "file-size", diameter },
    weightOf: (family2) => families.includes(family2) ? 1 : misread(FILE_ERROR)
  };
}
function chassisEvidence(chassis) {
  return naming(
    FAMILY_IDS.filter((family2) => FAMILIES[family2].chassis === chassis),
    { code: "chassis", chassis },
    misread(MARK_ERROR)
  );
}

// src/core/identify/gauge.ts
var LINK_WEAR = 0.06;
var FLOOR_WIDENING = 0.15;
var SOUND_WIDENING = 0.1;
var FLOOR_WORN = 1.5;
var WORN_SHARE = 0.05;
var MARKED_WORN_SHARE = 0.85;
var GROOVE_NARROWER = 1e-3;
var TAB_FEEL = 0.02;
function blurredInterval(x, lo, hi, u) {
  return (normalCdf((x - lo) / u) - normalCdf((x - hi) / u)) / (hi - lo);
}
function feltBetween(lo, hi, marks, passing) {
  const STEPS = 8;
  const lean = (side) => side === passing ? 1 : -1;
  let sum = 0;
  for (let i = 0; i <= STEPS; i += 1) {
    const x = lo + (hi - lo) * i / STEPS;
    const above = marks.lo === null ? 1 : normalCdf((x - marks.lo) / TAB_FEEL + lean("lo"));
    const below = marks.hi === null ? 1 : normalCdf((marks.hi - x) / TAB_FEEL + lean("hi"));
    sum += above * below;
  }
  return sum / (STEPS + 1);
}
function widthEvidence(reading2, passing, range, reasonOf4) {
  const value2 = estimate(reading2);
  const likelihood = (gauge2) => {
    const [lo, hi] = range(gauge2);
    if (reading2.kind === "bounded") return feltBetween(lo, hi, reading2, passing);
    return blurredInterval(value2.value, lo, hi, value2.u);
  };
  return { reason: reasonOf4(value2), weightOf: scaled(GAUGE_IDS, likelihood) };
}
function thicknessEvidence(reading2) {
  const value2 = estimate(reading2);
  if (reading2.kind === "measured" && value2) {
    if (Math.abs(value2.value - HARVESTER_GAUGE) < 0.15) return { code: "harvester-gauge" };
    const nearest = Math.min(
      ...GAUGE_IDS.map(
        (gauge2) => Math.max(GAUGES[gauge2].thickness - LINK_WEAR - value2.value, value2.value - GAUGES[gauge2].thickness, 0)
      )
    );
    if (nearest > 4 * value2.u) return { code: "thickness-fits-none", thickness: value2.value };
  }
  return widthEvidence(
    reading2,
    "hi",
    (gauge2) => [GAUGES[gauge2].thickness - LINK_WEAR, GAUGES[gauge2].thickness],
    (at2) => reading2.kind === "bounded" ? { code: "slot", lo: reading2.lo, hi: reading2.hi } : { code: "thickness", thickness: at2.value, u: at2.u }
  );
}
var WIDENING = { sound: SOUND_WIDENING, floor: FLOOR_WIDENING };
function atLeast(reading2, thickness) {
  const { hi } = boundsOf(reading2);
  return hi === null ? 1 : normalCdf((hi.value - thickness) / Math.max(hi.u, TAB_FEEL));
}
function grooveEvidence(reading2, where) {
  const reasonOf4 = (at2) => {
    if (reading2.kind === "bounded") return { code: "slot", lo: reading2.lo, hi: reading2.hi };
    return { code: where === "mouth" ? "groove-mouth" : "groove-floor", width: at2.value, u: at2.u };
  };
  const floor = (gauge2) => Math.max(GROOVE_NARROWER, atLeast(reading2, GAUGES[gauge2].thickness));
  if (where === "mouth")
    return { reason: reasonOf4(estimate(reading2)), wears: true, weightOf: scaled(GAUGE_IDS, floor) };
  const likelihood = (share2) => scaled(GAUGE_IDS, (gauge2) => {
    const made2 = GAUGES[gauge2].thickness;
    return (1 - share2) * seenIn(reading2, made2, made2 + WIDENING[where]) + share2 * seenIn(reading2, made2, made2 + FLOOR_WORN);
  });
  return {
    reason: reasonOf4(estimate(reading2)),
    wears: true,
    weightOf: likelihood(WORN_SHARE),
    besideMark: likelihood(MARKED_WORN_SHARE)
  };
}
function seenIn(reading2, lo, hi) {
  if (reading2.kind === "bounded") return feltBetween(lo, hi, reading2, "lo");
  const { value: value2, u } = estimate(reading2);
  return blurredInterval(value2, lo, hi, u);
}
function gaugeMarkEvidence(value2, text) {
  return naming([value2], { code: "gauge-mark", value: value2, text }, misread(MARK_ERROR, GAUGE_IDS.length - 1), true);
}

// src/core/identify/learned-code.ts
var codeKey = (text) => text.replace(/\s+/g, "").toUpperCase();
function codeOf(text, codes) {
  return codes.find(({ code }) => codeKey(code) === codeKey(text)) ?? null;
}
var reasonOf2 = ({ code, pitch, gauge: gauge2 }) => ({
  code: "learned-code",
  text: code,
  pitch,
  gauge: gauge2
});
function codePitchEvidence(code) {
  const doubt = misread(MARK_ERROR, FAMILY_IDS.length - 1);
  return code.pitch && naming(familiesOfMark(code.pitch), reasonOf2(code), doubt, true);
}
function codeGaugeEvidence(code) {
  const doubt = misread(MARK_ERROR, GAUGE_IDS.length - 1);
  return code.gauge && naming([code.gauge], reasonOf2(code), doubt, true);
}

// src/core/identify/pitch-and-gauge.ts
var RARE_PAIR = 1e-3;
var pairWeight = (family2, gauge2) => familyAndGaugeMeet(family2, gauge2) ? 1 : RARE_PAIR;
var product = (evidence, candidate) => evidence.reduce((weight, item) => weight * item.weightOf(candidate), 1);
function identifyPitchAndGauge(given) {
  const evidence = given.gauge.some(({ mark }) => mark) ? { ...given, gauge: given.gauge.map(believingMarks) } : given;
  const pairsBy = (gauges3) => FAMILY_IDS.flatMap(
    (family2) => GAUGE_IDS.map((gauge3) => ({
      family: family2,
      gauge: gauge3,
      weight: pairWeight(family2, gauge3) * product(evidence.pitch, family2) * product(gauges3, gauge3)
    }))
  );
  const pairs = pairsBy(evidence.gauge);
  const known = evidence.pitch.length + evidence.gauge.length > 0;
  const isMarked = evidence.pitch.some(({ mark }) => mark);
  const pitchPairs = isMarked ? pairsBy(evidence.gauge.filter(({ wears }) => !wears)) : pairs;
  const share2 = (values, of, from = pairs) => known ? ranked(
    values.map((value2) => ({
      value: value2,
      weight: Math.max(...from.filter((pair) => of(pair) === value2).map(({ weight }) => weight))
    }))
  ) : [];
  const families = share2(FAMILY_IDS, ({ family: family2 }) => family2, pitchPairs);
  const gauges2 = share2(GAUGE_IDS, ({ gauge: gauge3 }) => gauge3);
  const pitchClash = contradiction(FAMILY_IDS, evidence.pitch);
  const gaugeClash = contradiction(GAUGE_IDS, evidence.gauge, notOnlyWorn);
  const pitch = concluded(families, pitchReasons(evidence, families), pitchClash);
  const gauge2 = concluded(
    gauges2,
    [...evidence.gauge.map(({ reason }) => reason), ...evidence.gaugeNotes, ...mouthNote(evidence, gauges2)],
    gaugeClash
  );
  return { pitch: withRarePair(pitch, gauge2), gauge: gauge2 };
}
var believingMarks = (item) => item.besideMark ? { ...item, weightOf: item.besideMark } : item;
var WORN_EXPLAINS = 0.012;
function notOnlyWorn(a, b) {
  if (!a.wears && !b.wears) return true;
  return GAUGE_IDS.every((gauge2) => a.weightOf(gauge2) * b.weightOf(gauge2) < WORN_EXPLAINS);
}
function pitchReasons(evidence, families) {
  const reasons = [...evidence.pitch.map(({ reason }) => reason), ...evidence.pitchNotes];
  const [first, second] = families;
  const pair = [first?.value, second?.value].sort().join();
  if (pair === "38,38lp" && (first?.weight ?? 0) < 0.95) return [...reasons, { code: "build-open" }];
  const before = ranked(FAMILY_IDS.map((value2) => ({ value: value2, weight: product(evidence.pitch, value2) })));
  const gaugeDecided = evidence.pitch.length > 0 && (first?.weight ?? 0) >= 0.95 && (before[0]?.weight ?? 0) < 0.95;
  return gaugeDecided ? [...reasons, { code: "gauge-narrows-pitch" }] : reasons;
}
function mouthNote(evidence, gauges2) {
  const onlyMouth = evidence.gauge.length > 0 && evidence.gauge.every(({ reason }) => reason.code === "groove-mouth");
  return onlyMouth && gauges2.length > 1 ? [{ code: "mouth-may-pass-for-wider" }] : [];
}
function withRarePair(pitch, gauge2) {
  if (pitch.value === null || gauge2.value === null || familyAndGaugeMeet(pitch.value, gauge2.value)) return pitch;
  return { ...pitch, why: [...pitch.why, { code: "pair-not-in-practice", family: pitch.value, gauge: gauge2.value }] };
}

// src/core/identify/links.ts
var SLIP = [1, 0.05, 5e-3];
var WILD = 1e-5;
var BARE_DOUBT = 0.25;
var TAPE_LINKS_U = 0.7;
var LINKS_PER_CUTTER = { "full-complement": 2, "semi-skip": 2.5, "full-skip": 3 };
function cuttersExpected(links, sequence) {
  const exact = links / LINKS_PER_CUTTER[sequence];
  return Number.isInteger(exact) ? [exact] : [Math.floor(exact), Math.ceil(exact)];
}
function linksFor(cutters, sequence) {
  const centre = Math.round(cutters * LINKS_PER_CUTTER[sequence]);
  return [-3, -2, -1, 0, 1, 2, 3].map((step2) => centre + step2).filter((links) => cuttersExpected(links, sequence).includes(cutters));
}
function sequenceAgrees(links, cutters, sequence) {
  if (links === null || links === void 0 || cutters === void 0 || sequence === void 0) return null;
  return cuttersExpected(links, sequence).includes(cutters);
}
function countedTwice(counts2) {
  return counts2?.find((count2, i) => counts2.indexOf(count2) !== i) ?? null;
}
var weighed = (statements) => statements.flatMap((statement) => "evidence" in statement ? [statement.evidence] : []);
var noted = (statements) => statements.flatMap((statement) => "note" in statement ? [statement.note] : []);
function countEvidence(value2) {
  return {
    reason: { code: "count", value: value2 },
    weightOf: (links) => SLIP[Math.abs(links - value2)] ?? WILD
  };
}
function cuttersEvidence(cutters, sequence) {
  const links = linksFor(cutters, sequence);
  return links.length === 0 ? null : naming(links, { code: "cutters", cutters, sequence, links }, CROSS_CHECK_ERROR);
}
function loopLengthEvidence(length2, pitch) {
  const weightOf = (links2) => {
    const needed = length2.value / (2 * links2);
    const u = quadrature(length2.u / (2 * links2), pitch.u);
    const outside = Math.max(0, pitch.lo - needed, needed - pitch.hi) / u;
    return Math.max(CROSS_CHECK_ERROR, Math.exp(-(outside ** 2) / 2));
  };
  const links = Math.round(length2.value / (pitch.lo + pitch.hi));
  return { reason: { code: "loop-length", length: length2.value, links }, weightOf };
}
function tapeEvidence(length2, pitch) {
  const exact = length2 / (2 * pitch);
  return {
    reason: { code: "tape", length: length2, links: Math.round(exact) },
    weightOf: (links) => Math.max(WILD, Math.exp(-(((links - exact) / TAPE_LINKS_U) ** 2) / 2))
  };
}
function centresEvidence(links) {
  return naming(links, { code: "centres", links }, CROSS_CHECK_ERROR);
}
function linksMarkEvidence(value2, text, marked) {
  const reason = { code: "links-mark", value: value2, text, marked };
  return marked ? naming([value2], reason, misread(MARK_ERROR), true) : { reason, weightOf: (links) => links === value2 ? 1 : BARE_DOUBT };
}
function candidatesOf({ reason }) {
  const around = (links) => [-2, -1, 0, 1, 2].map((slip) => links + slip).filter((value2) => value2 > 0);
  switch (reason.code) {
    case "count":
      return around(reason.value);
    case "loop-length":
    case "tape":
      return around(reason.links);
    case "cutters":
    case "centres":
      return reason.links;
    case "links-mark":
      return [reason.value];
    default:
      return [];
  }
}
var valuesOf = (evidence) => [...new Set(evidence.flatMap(candidatesOf))].sort((a, b) => a - b);
var product2 = (evidence, value2) => evidence.reduce((weight, item) => weight * item.weightOf(value2), 1);
function identifyChainLinks(statements) {
  const evidence = weighed(statements);
  const notes = noted(statements);
  if (evidence.length === 0) return concluded([], notes, null);
  const values = valuesOf(evidence);
  const candidates = ranked(values.map((value2) => ({ value: value2, weight: product2(evidence, value2) })));
  const clash = contradiction(values, evidence, (a, b) => a.reason.code !== "count" || b.reason.code !== "count");
  const counts2 = evidence.flatMap(({ reason }) => reason.code === "count" ? [reason.value] : []);
  const repeated = counts2.some((count2, i) => counts2.indexOf(count2) !== i);
  const reasons = [...evidence.map(({ reason }) => reason), ...notes];
  const equal = new Set(counts2).size === 1 && counts2.length > 1;
  return concluded(candidates, equal ? reasons : [...reasons, { code: "count-again", counts: counts2 }], clash, repeated);
}
function identifyBarLinks(statements) {
  const evidence = weighed(statements);
  const notes = noted(statements);
  if (evidence.length === 0) return concluded([], notes, null);
  const values = valuesOf(evidence);
  const weights = values.map((value2) => ({ value: value2, weight: product2(evidence, value2) }));
  const other = product2(evidence, -1);
  const total = weights.reduce((sum, { weight }) => sum + weight, other);
  const candidates = weights.map(({ value: value2, weight }) => ({ value: value2, weight: weight / total })).filter(({ weight }) => weight >= WILD).sort((a, b) => b.weight - a.weight);
  const stamped = evidence.some(({ reason }) => reason.code === "links-mark");
  const reasons = [...evidence.map(({ reason }) => reason), ...notes];
  return concluded(
    candidates,
    stamped ? [...reasons, { code: "stamp-is-not-a-count" }] : reasons,
    contradiction(values, evidence)
  );
}

// src/core/identify/collect.ts
function pitchOf(source, item) {
  if (!item) return [];
  return [{ ...source, property: "pitch", ..."weightOf" in item ? { evidence: item } : { note: item } }];
}
function gaugeOf(source, item) {
  if (!item) return [];
  return [{ ...source, property: "gauge", ..."weightOf" in item ? { evidence: item } : { note: item } }];
}
function unique(items, key) {
  return items.filter((item, i) => items.findIndex((other) => key(other) === key(item)) === i);
}
function stampStatements(source, stamp, on) {
  const pitches = unique(stated(stamp, "pitch"), ({ meaning: { value: value2 } }) => value2);
  const gauges2 = unique(stated(stamp, "gauge"), ({ meaning: { value: value2 } }) => value2);
  return [
    ...pitches.flatMap(({ token, meaning }) => pitchOf(source, pitchMarkEvidence([meaning.value], on, token))),
    ...gauges2.flatMap(({ token, meaning }) => gaugeOf(source, gaugeMarkEvidence(meaning.value, token))),
    ...stated(stamp, "outOfScope").flatMap(
      ({ meaning: { what } }) => what === "harvester-pitch" ? pitchOf(source, { code: "harvester-pitch" }) : gaugeOf(source, { code: "harvester-gauge" })
    )
  ];
}
function chainStamp(text, codes) {
  const source = { id: "chain.stamp", part: "chain" };
  const stamp = readStamp(text);
  const learned = stamp.tokens.flatMap(({ text: piece }) => codeOf(piece, codes) ?? []);
  const rest = { ...stamp, tokens: stamp.tokens.filter(({ text: piece }) => !codeOf(piece, codes)) };
  return [
    ...learned.flatMap((code) => [
      ...pitchOf(source, codePitchEvidence(code)),
      ...gaugeOf(source, codeGaugeEvidence(code))
    ]),
    ...stampStatements(source, rest, "stamp")
  ];
}
function spanReading(span) {
  if (span.length.kind === "bounded" || !span.instrument || span.instrument === "caliper") return span.length;
  return { kind: "measured", repeats: span.length.repeats, instrument: span.instrument };
}
function chainStatements(chain, codes) {
  const from = (id) => ({ id, part: "chain" });
  const { span, template, chassis, fileSize, driveLinkThickness } = chain;
  return [
    ...chainStamp(chain.stamp ?? "", codes),
    ...span ? pitchOf(from("chain.span"), spanEvidence(spanReading(span), span.rivets)) : [],
    ...template?.length ? pitchOf(from("chain.template"), pitchMarkEvidence(template, "template", template.join(", "))) : [],
    ...chassis ? pitchOf(from("chain.chassis"), chassisEvidence(chassis)) : [],
    ...fileSize ? pitchOf(from("chain.fileSize"), fileEvidence(fileSize)) : [],
    ...driveLinkThickness ? gaugeOf(from("chain.driveLinkThickness"), thicknessEvidence(driveLinkThickness)) : []
  ];
}
function narrowest(bar, field) {
  const stations = [...bar.edges?.A?.stations ?? [], ...bar.edges?.B?.stations ?? []];
  const readings = stations.flatMap((station) => station[field] ? [station[field]] : []);
  const value2 = (reading2) => estimate(reading2)?.value ?? Infinity;
  return readings.reduce(
    (least, reading2) => least && value2(least) <= value2(reading2) ? least : reading2,
    null
  );
}
function grooveStatements(bar, setAside) {
  const from = (id) => ({ id, part: "bar" });
  const floor = narrowest(bar, "deep");
  const mouth = narrowest(bar, "mouth");
  const better = [
    ...bar.groove ? gaugeOf(from("bar.groove"), grooveEvidence(bar.groove, "sound")) : [],
    ...floor ? gaugeOf(from("bar.edges.deep"), grooveEvidence(floor, "floor")) : []
  ];
  const counting = better.filter(({ id }) => !setAside.includes(id));
  const last = mouth && counting.length === 0 ? gaugeOf(from("bar.edges.mouth"), grooveEvidence(mouth, "mouth")) : [];
  return [...better, ...last];
}
function noseForBar(bar, stamped) {
  const marked = stamped.some(({ property }) => property === "pitch");
  if (marked || bar.nose === "hard" || !bar.nosePitch) return [];
  return pitchOf({ id: "bar.nosePitch", part: "bar" }, pitchMarkEvidence([bar.nosePitch], "nose", bar.nosePitch));
}
function barStatements(bar, setAside) {
  const stamped = stampStatements({ id: "bar.stamp", part: "bar" }, readStamp(bar.stamp ?? ""), "stamp");
  const counting = setAside.includes("bar.stamp") ? [] : stamped;
  return [...stamped, ...noseForBar(bar, counting), ...grooveStatements(bar, setAside)];
}
function noseStatements(bar) {
  if (bar.nose === "hard") return [];
  const stamp = stampStatements({ id: "bar.stamp", part: "nose" }, readStamp(bar.stamp ?? ""), "stamp");
  const own = bar.nosePitch ? pitchOf({ id: "bar.nosePitch", part: "nose" }, pitchMarkEvidence([bar.nosePitch], "nose", bar.nosePitch)) : [];
  return [...own, ...stamp.filter(({ property }) => property === "pitch")];
}
function sprocketStatements({ pitch, stamp }) {
  const part6 = "driveSprocket";
  return [
    ...pitch ? pitchOf({ id: "driveSprocket.pitch", part: part6 }, pitchMarkEvidence([pitch], "sprocket", pitch)) : [],
    ...stampStatements({ id: "driveSprocket.stamp", part: part6 }, readStamp(stamp ?? ""), "sprocket").filter(
      ({ property }) => property === "pitch"
    )
  ];
}
function collectStatements(sheet2, codes) {
  return [
    ...chainStatements(sheet2.chain ?? {}, codes),
    ...barStatements(sheet2.bar ?? {}, sheet2.setAside ?? []),
    ...sprocketStatements(sheet2.driveSprocket ?? {}),
    ...noseStatements(sheet2.bar ?? {})
  ];
}

// src/core/loop/geometry.ts
function pitchDiameter(pitch, teeth) {
  return mm(pitch / Math.sin(Math.PI / (2 * teeth)));
}
function chainSpeed(pitch, teeth, rpm) {
  return 2 * pitch * teeth * rpm / 6e4;
}
function loopLength({ drive, nose }, centres) {
  const step2 = drive - nose;
  const straight = Math.sqrt(Math.max(0, centres ** 2 - step2 ** 2));
  return mm(2 * straight + Math.PI * (drive + nose) + 2 * step2 * Math.asin(Math.max(-1, Math.min(1, step2 / centres))));
}
var CLOSE_ENOUGH = 1e-7;
function centresFor(wheels, length2) {
  let lo = Math.max(Math.abs(wheels.drive - wheels.nose), CLOSE_ENOUGH);
  let hi = length2;
  if (loopLength(wheels, lo) > length2) return null;
  while (hi - lo > CLOSE_ENOUGH) {
    const middle = (lo + hi) / 2;
    if (loopLength(wheels, middle) > length2) hi = middle;
    else lo = middle;
  }
  return mm((lo + hi) / 2);
}
function lengthOfLinks(links, pitch) {
  return mm(2 * pitch * links);
}

// src/core/loop/adjuster.ts
function adjusterPosition(wheels, travel, links, pitch) {
  const centres = centresFor(wheels, lengthOfLinks(links, pitch));
  if (centres === null) return null;
  const used = centres - travel.back;
  const left = travel.out - centres;
  const state = left < 0 ? "will-not-take-up" : used < 0 ? "will-not-go-on" : "in-travel";
  return { state, centres, used, left };
}
function linksInTravel(wheels, travel, pitch) {
  const first = Math.ceil(loopLength(wheels, travel.back) / (2 * pitch) - 1e-9);
  const last = Math.floor(loopLength(wheels, travel.out) / (2 * pitch) + 1e-9);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => first + i);
}

// src/core/loop/common-loops.ts
var COMMON_LOOPS = [
  { family: "38lp", inches: 8, links: 34 },
  { family: "38lp", inches: 12, links: 45 },
  { family: "38lp", inches: 16, links: 56 },
  { family: "38lp", inches: 18, links: 62 },
  { family: "38lp", inches: 20, links: 68 },
  { family: "38", inches: 20, links: 72 },
  { family: "38", inches: 24, links: 84 },
  { family: "38", inches: 25, links: 84 }
];
var LOOP_SPREAD = 0.08;
var REACH_INCHES = 8;
function tableFor(family2) {
  const of = (wanted) => COMMON_LOOPS.filter(
    (loop, i) => loop.family === wanted && COMMON_LOOPS.findIndex((o) => o.family === wanted && o.links === loop.links) === i
  );
  const own = of(family2);
  if (own.length > 1) return { table: own, scale: 1 };
  return { table: of("38lp"), scale: FAMILIES["38lp"].pitch / FAMILIES[family2].pitch };
}
function usualLinks(family2, listed) {
  const { table, scale } = tableFor(family2);
  const inches2 = toInches(listed);
  if (inches2 < table[0].inches - REACH_INCHES || inches2 > table.at(-1).inches + REACH_INCHES) return null;
  const above = table.findIndex((loop) => loop.inches >= inches2);
  const end = above === -1 ? table.length - 1 : Math.max(1, above);
  const [from, to] = [table[end - 1], table[end]];
  const links = from.links + (inches2 - from.inches) * (to.links - from.links) / (to.inches - from.inches);
  return Math.round(links * scale);
}
function plausibleLoop(family2, listed, links) {
  const usual = usualLinks(family2, listed);
  return usual === null ? null : { usual, plausible: Math.abs(links - usual) <= Math.max(2, LOOP_SPREAD * usual) };
}

// src/core/loop/listed-length.ts
var ROUNDED_DOWN_WITHIN = 0.375;
var READING_SLACK = 1 / 32;
function listedLengths(effective) {
  const length2 = toInches(effective);
  const below = 2 * Math.floor((length2 + READING_SLACK) / 2);
  const over = length2 - below;
  if (over <= READING_SLACK) return [{ inches: below, custom: "up" }];
  const up = { inches: below + 2, custom: "up" };
  if (over > ROUNDED_DOWN_WITHIN + READING_SLACK) return [up];
  return [{ inches: below, custom: "down" }, up, { inches: below + 1, custom: "odd" }];
}
function effectiveRange(listed) {
  const whole = toInches(listed);
  const lo = Math.round(whole) % 2 === 0 ? whole - 2 : whole - 1;
  return { lo: inches(lo), hi: mm(listed + inches(ROUNDED_DOWN_WITHIN)) };
}
function listedAgrees(listed, effective) {
  const { lo, hi } = effectiveRange(listed);
  const slack = inches(READING_SLACK);
  return effective > lo - slack && effective <= hi + slack;
}

// src/core/identify/loop-evidence.ts
var LIVE2 = 0.05;
function measuredPitch(sheet2) {
  const span = sheet2.chain?.span;
  const length2 = span && estimate(spanReading(span));
  if (!length2 || !span) return null;
  const { pitch, u } = pitchFromSpan(length2, span.rivets);
  return { value: pitch, u };
}
function commonFamilies(candidates) {
  const live2 = candidates.filter(({ weight }) => weight >= LIVE2).map(({ value: value2 }) => value2);
  const pitches = new Set(live2.map((family2) => FAMILIES[family2].pitch));
  return live2.length > 0 && pitches.size === 1 ? live2 : null;
}
function pitchRange(sheet2, candidates) {
  const measured2 = measuredPitch(sheet2);
  if (measured2) return { lo: measured2.value, hi: measured2.value, u: measured2.u };
  const [family2] = commonFamilies(candidates) ?? [];
  if (!family2) return null;
  const [lo, hi] = FAMILIES[family2].unworn;
  return { lo, hi: hi * (1 + MAX_STRETCH), u: 0 };
}
function loopLengthStatements(sheet2, candidates) {
  const length2 = sheet2.chain?.loopLength && estimate(sheet2.chain.loopLength);
  if (!length2) return [];
  const id = "chain.loopLength";
  const range = pitchRange(sheet2, candidates);
  if (!range) return [{ id, note: { code: "waits-for", readings: ["chain.pitch"] } }];
  return [{ id, evidence: loopLengthEvidence(length2, range) }];
}
function wheelsAt(sheet2, pitch) {
  const teeth = sheet2.driveSprocket?.teeth;
  const { nose, noseTeeth } = sheet2.bar ?? {};
  const radius = sheet2.loop?.noseRadius && estimate(sheet2.loop.noseRadius);
  const noseAt = nose === "hard" ? radius?.value : noseTeeth === void 0 ? void 0 : pitchDiameter(pitch, noseTeeth) / 2;
  if (teeth === void 0 || noseAt === void 0) return null;
  return { drive: pitchDiameter(pitch, teeth) / 2, nose: noseAt };
}
function wayRoundStatements(sheet2, candidates) {
  const [family2] = commonFamilies(candidates) ?? [];
  const { tape, centreBack, centreOut } = sheet2.loop ?? {};
  const found = [];
  const round = tape && estimate(tape);
  if (round)
    found.push(
      family2 ? { id: "loop.tape", evidence: tapeEvidence(round.value, FAMILIES[family2].pitch) } : { id: "loop.tape", note: { code: "waits-for", readings: ["bar.pitch"] } }
    );
  const [back, out] = [centreBack && estimate(centreBack), centreOut && estimate(centreOut)];
  if (back && out) {
    const id = "loop.centreBack";
    const wheels = family2 ? wheelsAt(sheet2, FAMILIES[family2].pitch) : null;
    if (!family2 || !wheels)
      found.push({ id, note: { code: "waits-for", readings: ["bar.pitch", "driveSprocket.teeth", "bar.noseTeeth"] } });
    else {
      const links = linksInTravel(wheels, { back: back.value, out: out.value }, FAMILIES[family2].pitch);
      found.push(
        links.length > 0 ? { id, evidence: centresEvidence(links) } : { id, note: { code: "centres", links: [] } }
      );
    }
  }
  return found;
}

// src/core/identify/settle.ts
var pitchClass = (family2) => String(FAMILIES[family2].pitch);
var itself = (value2) => value2;
var LEGIBLE = 0.6;
var MEASURED = 0.97;
var PITCH = {
  chain: [
    { measure: "chain.span", classOf: pitchClass, succeeds: MEASURED },
    { measure: "chain.template", classOf: pitchClass, succeeds: MEASURED },
    { measure: "chain.chassis", classOf: (family2) => FAMILIES[family2].chassis, succeeds: MEASURED },
    { measure: "chain.fileSize", classOf: (family2) => String(FAMILIES[family2].file), succeeds: 0.8 },
    { measure: "chain.stamp", classOf: itself, succeeds: LEGIBLE },
    // Gauges that only one of the families is made in tell them apart.
    { measure: "chain.driveLinkThickness", classOf: (family2) => GAUGES_OF_FAMILY[family2].join(), succeeds: 0.5 }
  ],
  bar: [
    { measure: "bar.stamp", classOf: itself, succeeds: LEGIBLE },
    { measure: "bar.nosePitch", classOf: itself, succeeds: LEGIBLE - 0.05 }
  ],
  driveSprocket: [
    { measure: "driveSprocket.pitch", classOf: itself, succeeds: LEGIBLE },
    { measure: "driveSprocket.stamp", classOf: itself, succeeds: LEGIBLE - 0.05 }
  ],
  nose: [
    { measure: "bar.nosePitch", classOf: itself, succeeds: LEGIBLE },
    { measure: "bar.stamp", classOf: itself, succeeds: LEGIBLE - 0.05 }
  ]
};
var GAUGE = {
  chain: [
    { measure: "chain.driveLinkThickness", classOf: itself, succeeds: MEASURED },
    { measure: "chain.stamp", classOf: itself, succeeds: LEGIBLE }
  ],
  bar: [
    { measure: "bar.groove", classOf: itself, succeeds: 0.9 },
    { measure: "bar.stamp", classOf: itself, succeeds: LEGIBLE }
  ]
};
var LINKS = {
  chain: [{ measure: "chain.driveLinks", classOf: String, succeeds: 0.95 }],
  bar: [
    { measure: "bar.stamp", classOf: String, succeeds: LEGIBLE },
    { measure: "loop.tape", classOf: String, succeeds: 0.5 }
  ]
};
var BLIND_LINKS = [1, 2, 3].map((value2) => ({ value: value2, weight: 1 / 3 }));
var even = (values) => values.map((value2) => ({ value: value2, weight: 1 / values.length }));
function gainOf(candidates, { classOf, succeeds }) {
  const now = Math.max(0, ...candidates.map(({ weight }) => weight));
  const best = /* @__PURE__ */ new Map();
  for (const { value: value2, weight } of candidates) best.set(classOf(value2), Math.max(best.get(classOf(value2)) ?? 0, weight));
  const after2 = [...best.values()].reduce((sum, weight) => sum + weight, 0);
  return succeeds * Math.max(0, after2 - now);
}
function made(sheet2, measure) {
  const value2 = measure.split(".").reduce((at2, key) => at2?.[key], sheet2);
  return value2 !== void 0 && value2 !== "" && !(Array.isArray(value2) && value2.length === 0);
}
var applies = ({ bar }, measure) => measure !== "bar.nosePitch" || bar?.nose !== "hard";
var REPEATABLE = ["chain.driveLinks"];
function bestOf(sheet2, candidates, observations2) {
  const worth = observations2.filter(({ measure }) => applies(sheet2, measure) && (REPEATABLE.includes(measure) || !made(sheet2, measure))).map((observation) => ({
    measure: observation.measure,
    minutes: minutesFor(observation.measure),
    gain: gainOf(candidates, observation)
  })).filter(({ gain }) => gain > 0);
  return worth.reduce(
    (best, next2) => best && best.gain / best.minutes >= next2.gain / next2.minutes ? best : next2,
    null
  );
}
function repeatOf2(clash, sourceOf) {
  if (clash?.code !== "disagree") return null;
  const sources = [clash.first, clash.second].flatMap((reason) => sourceOf(reason) ?? []);
  const [quickest] = [...sources].sort((a, b) => minutesFor(a) - minutesFor(b));
  return quickest ? { measure: quickest, minutes: minutesFor(quickest), gain: 0.5 } : null;
}
function againOf(observations2, candidates) {
  const worth = (observation) => gainOf(candidates, observation) / minutesFor(observation.measure);
  const [best] = [...observations2].sort((a, b) => worth(b) - worth(a));
  return best ? { measure: best.measure, minutes: minutesFor(best.measure), gain: LEAST_GAIN } : null;
}
var LEAST_GAIN = 0.05;
function settling(sheet2, property, unknown, observations2, sourceOf) {
  if (property.status === "settled") return property;
  if (property.status === "conflict") return { ...property, settledBy: repeatOf2(property.why[0], sourceOf) };
  const candidates = property.candidates.length > 0 ? property.candidates : unknown;
  const best = bestOf(sheet2, candidates, observations2);
  if (best) return { ...property, settledBy: { ...best, gain: Math.max(best.gain, LEAST_GAIN) } };
  return { ...property, settledBy: againOf(observations2, candidates) };
}
function confirming(sheet2, part6, property, mark) {
  const observations2 = property === "pitch" ? PITCH[part6] : (property === "gauge" ? GAUGE : LINKS)[part6];
  const [quickest] = observations2.map(({ measure }) => measure).filter((measure) => measure !== mark && !made(sheet2, measure) && !CONFIRMS_NOTHING.includes(measure)).filter((measure) => applies(sheet2, measure)).sort((a, b) => minutesFor(a) - minutesFor(b));
  return quickest === void 0 ? null : { measure: quickest, minutes: minutesFor(quickest), gain: MARK_ERROR };
}
var CONFIRMS_NOTHING = ["chain.fileSize"];
function withPitchSettling(sheet2, part6, property, sourceOf) {
  return settling(sheet2, property, even(FAMILY_IDS), PITCH[part6], sourceOf);
}
function withGaugeSettling(sheet2, part6, property, sourceOf) {
  return settling(sheet2, property, even(GAUGE_IDS), GAUGE[part6], sourceOf);
}
function withLinksSettling(sheet2, part6, property, sourceOf) {
  return settling(sheet2, property, BLIND_LINKS, LINKS[part6], sourceOf);
}

// src/core/identify/findings.ts
var BEYOND_DOUBT2 = 2;
function stretched({ chain: { pitch } }) {
  const span = pitch.why.find((reason) => reason.code === "span");
  if (span?.code !== "span" || pitch.value === null) return [];
  const longest = FAMILIES[pitch.value].unworn[1];
  if (span.pitch - BEYOND_DOUBT2 * span.u <= longest) return [];
  const nominal2 = FAMILIES[pitch.value].pitch;
  return [
    { code: "stretched", family: pitch.value, pitch: span.pitch, percent: 100 * (span.pitch - nominal2) / nominal2 }
  ];
}
function gauges({ chain, bar }) {
  const [thin, wide] = [chain.gauge.value, bar.gauge.value];
  if (thin === null || wide === null || thin === wide) return [];
  const thinner = GAUGES[thin].thickness < GAUGES[wide].thickness;
  return [{ code: thinner ? "thin-chain" : "thick-chain", chain: thin, bar: wide }];
}
function wornMouth({ bar }, widestMouth) {
  const gauge2 = bar.gauge.value;
  if (gauge2 === null || widestMouth === null) return [];
  const looksLike = [...GAUGE_IDS].reverse().find((id) => GAUGES[id].thickness > GAUGES[gauge2].thickness && GAUGES[id].thickness <= widestMouth);
  return looksLike ? [{ code: "worn-mouth", gauge: gauge2, looksLike, width: mm(widestMouth) }] : [];
}
function counts({ chain, bar }) {
  const [has, wants] = [chain.driveLinks.value, bar.driveLinks.value];
  const odd = has !== null && has % 2 === 1 ? [{ code: "odd-count", links: has }] : [];
  return has !== null && wants !== null && has !== wants ? [{ code: "other-count", chain: has, bar: wants }, ...odd] : odd;
}
function findingsOf(known, seen2) {
  const buildOpen = known.chain.pitch.why.some(({ code }) => code === "build-open");
  return [
    ...gauges(known),
    ...counts(known),
    ...buildOpen ? [{ code: "build-open" }] : [],
    ...stretched(known),
    ...wornMouth(known, seen2.widestMouth)
  ];
}

// src/core/identify/on-mark.ts
function settlesAlone(value2, values, evidence) {
  const weigh = (candidate) => evidence.reduce((weight, item) => weight * item.weightOf(candidate), 1);
  const total = values.reduce((sum, candidate) => sum + weigh(candidate), 0);
  return evidence.length > 0 && total > 0 && weigh(value2) / total >= SURE;
}
function withOnMark(property, about, values, sourced) {
  const { value: value2 } = property;
  if (property.status !== "settled" || value2 === null) return property;
  const naming2 = sourced.filter(({ evidence }) => evidence.mark && evidence.weightOf(value2) === 1);
  const [first] = naming2;
  if (!first || naming2.some(({ id }) => id !== first.id)) return property;
  const others = sourced.filter(({ id }) => id !== first.id).map(({ evidence }) => evidence);
  if (settlesAlone(value2, values, others)) return property;
  const confirmedBy = confirming(about.sheet, about.part, about.name, first.id);
  const onMark = { mark: first.evidence.reason, confirmedBy };
  return { ...property, onMark };
}

// src/core/identify/identify.ts
function evidenceOf(statements, part6) {
  const own = statements.filter((statement) => statement.part === part6);
  return {
    pitch: own.flatMap((each) => each.property === "pitch" && "evidence" in each ? [each.evidence] : []),
    gauge: own.flatMap((each) => each.property === "gauge" && "evidence" in each ? [each.evidence] : []),
    pitchNotes: own.flatMap((each) => each.property === "pitch" && "note" in each ? [each.note] : []),
    gaugeNotes: own.flatMap((each) => each.property === "gauge" && "note" in each ? [each.note] : [])
  };
}
var countId = (i) => EVIDENCE_IDS.find((id) => id === `chain.driveLinks.${i}`) ?? "chain.driveLinks.4";
function chainCounts({ chain }) {
  const counts2 = (chain?.driveLinks ?? []).map((value2, i) => ({
    id: countId(i),
    evidence: countEvidence(value2)
  }));
  const { cutters, sequence } = chain ?? {};
  const crossCheck = cutters !== void 0 && sequence !== void 0 ? cuttersEvidence(cutters, sequence) : null;
  return crossCheck ? [...counts2, { id: "chain.cutters", evidence: crossCheck }] : counts2;
}
function barMarks({ bar }) {
  return stated(readStamp(bar?.stamp ?? ""), "driveLinks").map(({ token, meaning }) => ({
    id: "bar.stamp",
    evidence: linksMarkEvidence(meaning.value, token, meaning.marked)
  }));
}
function sourcedOf(statements, part6, property) {
  return statements.flatMap(
    (each) => each.part === part6 && each.property === property && "evidence" in each ? [{ id: each.id, evidence: each.evidence }] : []
  );
}
var reasonOf3 = (statement) => "evidence" in statement ? statement.evidence.reason : statement.note;
function itemsOf(said, setAside) {
  const items = /* @__PURE__ */ new Map();
  for (const { id, part: part6, reason } of said) {
    if (part6 === "nose" && id === "bar.stamp" || part6 === "bar" && id === "bar.nosePitch") continue;
    const before = items.get(id);
    items.set(id, { id, part: part6, says: [...before?.says ?? [], reason], setAside: setAside.includes(id) });
  }
  return [...items.values()].sort((a, b) => EVIDENCE_IDS.indexOf(a.id) - EVIDENCE_IDS.indexOf(b.id));
}
function identify2(sheet2, codes = []) {
  const setAside = sheet2.setAside ?? [];
  const counts2 = (statements) => setAside.length === 0 ? statements : statements.filter(({ id }) => !setAside.includes(id));
  const all = collectStatements(sheet2, codes);
  const of = (part6) => identifyPitchAndGauge(evidenceOf(counts2(all), part6));
  const [chain, bar, driveSprocket, nose] = [of("chain"), of("bar"), of("driveSprocket"), of("nose")];
  const chainLinks = [...chainCounts(sheet2), ...loopLengthStatements(sheet2, chain.pitch.candidates)];
  const round = bar.pitch.candidates.length > 0 ? bar.pitch.candidates : chain.pitch.candidates;
  const barLinks = [...barMarks(sheet2), ...wayRoundStatements(sheet2, round)];
  const said = [
    ...all.map((statement) => ({ id: statement.id, part: statement.part, reason: reasonOf3(statement) })),
    ...chainLinks.map((statement) => ({ id: statement.id, part: "chain", reason: reasonOf3(statement) })),
    ...barLinks.map((statement) => ({ id: statement.id, part: "bar", reason: reasonOf3(statement) }))
  ];
  const sourceOf = (reason) => said.find((each) => each.reason === reason)?.id ?? null;
  const pitchOf2 = (part6, pitch) => withOnMark(
    withPitchSettling(sheet2, part6, pitch, sourceOf),
    { sheet: sheet2, part: part6, name: "pitch" },
    FAMILY_IDS,
    sourcedOf(counts2(all), part6, "pitch")
  );
  const gaugeOf2 = (part6, gauge2) => withOnMark(
    withGaugeSettling(sheet2, part6, gauge2, sourceOf),
    { sheet: sheet2, part: part6, name: "gauge" },
    GAUGE_IDS,
    sourcedOf(counts2(all), part6, "gauge")
  );
  const barCount = withLinksSettling(sheet2, "bar", identifyBarLinks(counts2(barLinks)), sourceOf);
  const known = {
    chain: {
      pitch: pitchOf2("chain", chain.pitch),
      gauge: gaugeOf2("chain", chain.gauge),
      driveLinks: withLinksSettling(sheet2, "chain", identifyChainLinks(counts2(chainLinks)), sourceOf)
    },
    bar: {
      pitch: pitchOf2("bar", bar.pitch),
      gauge: gaugeOf2("bar", bar.gauge),
      driveLinks: withOnMark(
        barCount,
        { sheet: sheet2, part: "bar", name: "driveLinks" },
        barCount.candidates.map(({ value: value2 }) => value2),
        counts2(barLinks).flatMap((statement) => "evidence" in statement ? [statement] : [])
      )
    },
    driveSprocket: { pitch: pitchOf2("driveSprocket", driveSprocket.pitch) },
    nose: { pitch: pitchOf2("nose", nose.pitch) }
  };
  const mouth = ["A", "B"].flatMap((edge3) => sheet2.bar?.edges?.[edge3]?.stations ?? []).flatMap((station) => station.mouth ? [estimate(station.mouth)?.value ?? 0] : []);
  return {
    ...known,
    evidence: itemsOf(said, setAside),
    findings: findingsOf(known, { widestMouth: mouth.length > 0 ? Math.max(...mouth) : null })
  };
}

// src/core/chain/checks.ts
var FEW_BURRED_TANGS = 4;
var part5 = "chain";
var calls = (operation) => ({ operation, from: "fail" });
var estimates2 = (readings) => (readings ?? []).flatMap((reading2) => estimate(reading2) ?? []);
var boundsOfAll = (readings) => (readings ?? []).map(boundsOf);
function damageOf(chain) {
  return (chain.damage ?? []).map(({ side, cutter, setBack }) => ({ side, cutter, setBack: boundsOf(setBack) }));
}
function elongationOf(chain) {
  if (!chain.pushPull) return null;
  const [closed, pulled] = [estimate(chain.pushPull.closed), estimate(chain.pushPull.pulled)];
  return closed && pulled ? elongation(closed, pulled, chain.pushPull.joints) : null;
}
function cutterLimit(chain, limits) {
  const table = limits["chain.cutter"];
  if (!chain.witnessLimit) return { limit: table, at: { value: mm(table.value), u: 0 } };
  const { lo, hi } = boundsOf(chain.witnessLimit);
  const mark = hi ?? lo;
  return {
    limit: { ...table, value: mark.value, provenance: "published", source: "witness mark on the cutter" },
    at: mark
  };
}
function cutterCheck(chain, correction, { limit: limit2, at: at2 }) {
  const id = "chain.cutter";
  if (!correction)
    return missingCheck({ id, part: part5 }, limit2.provenance, {
      code: "needs",
      readings: ["chain.cuttersLeft", "chain.cuttersRight"]
    });
  const { side, length: length2, bound, notPlaced } = correction;
  const field = side === "left" ? "cuttersLeft" : "cuttersRight";
  const read4 = chain[field]?.[0] ?? chain.cuttersLeft?.[0] ?? chain.cuttersRight?.[0];
  const head2 = {
    id,
    part: part5,
    repeat: repeatOf(
      chain[field]?.length ? `chain.${field}` : "chain.cuttersLeft",
      read4,
      usualToolAt(`chain.${field}.0`)
    ),
    note: notPlaced ? { code: "damage-not-placed", side: notPlaced } : null
  };
  return judgedCheck(head2, { value: length2, within: correctionWithin(correction, at2), bound }, limit2, null);
}
function elongationCheck(chain, stretch, limits) {
  const id = "chain.elongation";
  const [limit2, watch] = [limits["chain.elongation"], limits["chain.elongation.watch"]];
  if (!chain.pushPull)
    return missingCheck({ id, part: part5 }, limit2.provenance, { code: "needs", readings: ["chain.pushPull"] });
  const { closed, pulled } = chain.pushPull;
  const bounds = elongationBounds(boundsOf(closed), boundsOf(pulled));
  const shown = stretch ? { value: percent(stretch.percent), u: stretch.u } : bounds.lo ?? bounds.hi;
  const once = repeatOf("chain.pushPull", pulled, usualToolAt("chain.pushPull.pulled"));
  const length2 = (boundsOf(closed).hi ?? boundsOf(closed).lo).value;
  const repeat = once && { ...once, u: 100 * Math.SQRT2 * once.u / length2 };
  if (stretch?.contradicts || !shown)
    return {
      ...missingCheck(
        { id, part: part5, repeat },
        limit2.provenance,
        stretch ? { code: "closed-longer" } : { code: "needs", readings: ["chain.pushPull"] }
      ),
      value: shown?.value ?? 0,
      unit: "%"
    };
  const bound = bounds.lo && bounds.hi ? null : bounds.lo ? "at-least" : "at-most";
  const within3 = boundsWithin(bounds, limit2.value, "max");
  return judgedCheck({ id, part: part5, repeat }, { value: shown, within: within3, bound }, limit2, watch);
}
function assessChain(sheet2, identity, limits) {
  const chain = sheet2.chain ?? {};
  const stretch = elongationOf(chain);
  const correction = lengthAfterCorrection(
    { left: boundsOfAll(chain.cuttersLeft), right: boundsOfAll(chain.cuttersRight) },
    damageOf(chain)
  );
  const limit2 = cutterLimit(chain, limits);
  const uneven = imbalance({ left: estimates2(chain.cuttersLeft), right: estimates2(chain.cuttersRight) });
  const observed = chain.checks ?? {};
  const checks2 = [
    ...seenChecks(part5, "chain.checks", observed),
    cutterCheck(chain, correction, limit2),
    elongationCheck(chain, stretch, limits)
  ];
  if (uneven)
    checks2.push(
      workCheck(
        { id: "chain.uneven", part: part5, work: calls("even-cutters") },
        { ...uneven, value: mm(Math.abs(uneven.value)) },
        limits["chain.uneven"]
      )
    );
  if (observed.burredTangs !== void 0) checks2.push(tangsCheck(observed.burredTangs));
  if (observed.tightJoints !== void 0) {
    checks2.push(
      workCheck({ id: "chain.tight-joints", part: part5, work: calls("free-tight-joints") }, counted(observed.tightJoints), {
        value: 0,
        unit: "count",
        role: "max",
        provenance: "practice"
      })
    );
  }
  return {
    elongation: stretch?.contradicts ? null : stretch,
    correction,
    filingsLeft: correction ? filingsLeft(correction.length.value, limit2.limit.value, limits["chain.filing-loss"].value) : null,
    sequenceAgrees: sequenceAgrees(
      countedTwice(chain.driveLinks) ?? identity.chain.driveLinks.value,
      chain.cutters,
      chain.sequence
    ),
    checks: checks2
  };
}
var counted = (value2) => ({ value: countOf(value2), u: 0 });
function tangsCheck(burred) {
  const many = burred > FEW_BURRED_TANGS;
  const limit2 = {
    value: many ? FEW_BURRED_TANGS : 0,
    unit: "count",
    role: "max",
    provenance: "practice"
  };
  return workCheck({ id: "chain.tangs", part: part5, condemns: many, work: calls("file-tangs") }, counted(burred), limit2);
}

// src/core/fit/rules.ts
var LIVE_WEIGHT = 0.05;
var live = (property) => property.candidates.filter(({ weight }) => weight >= LIVE_WEIGHT).map(({ value: value2 }) => value2);
function sameProperty(a, b) {
  if (a.status === "conflict" || b.status === "conflict") return null;
  if (a.value !== null && b.value !== null) return a.value === b.value;
  const [first, second] = [live(a), live(b)];
  if (first.length === 0 || second.length === 0) return null;
  return first.some((value2) => second.includes(value2)) ? null : false;
}
function compared(rule, a, b, names) {
  const holds = sameProperty(a, b);
  if (holds === null) {
    const missing2 = [a, b].flatMap((property, i) => property.value === null ? [names[i]] : []);
    return { rule, holds, reason: { code: "not-known", missing: missing2 } };
  }
  const shown = (property) => live(property).join(" or ");
  return {
    rule,
    holds,
    reason: holds ? { code: "equal", value: shown(a) } : { code: "differ", first: shown(a), second: shown(b) }
  };
}
function gaugeRule({ identity, tang }) {
  const rule = "chain-gauge-is-bar-gauge";
  const judged2 = compared(rule, identity.chain.gauge, identity.bar.gauge, ["chain.gauge", "bar.gauge"]);
  const [chain, bar] = [identity.chain.gauge.value, identity.bar.gauge.value];
  if (judged2.holds !== false || chain === null || bar === null) return judged2;
  const [thin, wide] = [GAUGES[chain].thickness, GAUGES[bar].thickness];
  if (thin > wide) return { rule, holds: false, reason: { code: "will-not-run", chain, bar } };
  return {
    rule,
    holds: false,
    reason: { code: "goes-in-must-not", chain, bar, rock: tang === null ? null : rock(wide, thin, tang) }
  };
}
var absent = (known) => Object.keys(known).filter((asked) => known[asked] === null);
function pairRule({ identity: { chain } }) {
  const rule = "family-and-gauge-meet";
  const [family2, gauge2] = [chain.pitch.value, chain.gauge.value];
  if (family2 === null || gauge2 === null) {
    const missing2 = absent({ "chain.pitch": family2, "chain.gauge": gauge2 });
    return { rule, holds: null, reason: { code: "not-known", missing: missing2 } };
  }
  const meets = familyAndGaugeMeet(family2, gauge2);
  return { rule, holds: meets, reason: { code: meets ? "pair-meets" : "pair-rare", family: family2, gauge: gauge2 } };
}
var samePattern = (a, b) => a.trim().toUpperCase() === b.trim().toUpperCase();
function patternRule(rule, property, bar, saw) {
  if (!bar || !saw) {
    const missing2 = absent({ [`bar.${property}`]: bar || null, [`saw.${property}`]: saw || null });
    return { rule, holds: null, reason: { code: "not-known", missing: missing2 } };
  }
  const holds = samePattern(bar, saw);
  return { rule, holds, reason: holds ? { code: "equal", value: bar } : { code: "differ", first: bar, second: saw } };
}
function nosePitchRule({ identity, nose }) {
  const rule = "chain-pitch-is-nose-pitch";
  if (nose.hard) return { rule, holds: true, reason: { code: "hard-nose" } };
  return compared(rule, identity.chain.pitch, identity.nose.pitch, ["chain.pitch", "bar.nosePitch"]);
}
function noseKnownRule({ nose: { hard, teeth, thickness } }) {
  const rule = "nose-is-known";
  if (hard) return { rule, holds: true, reason: { code: "hard-nose" } };
  if (teeth === null || thickness === null) {
    const missing2 = absent({ "bar.noseTeeth": teeth, "bar.thickness": thickness });
    return { rule, holds: null, reason: { code: "not-known", missing: missing2 } };
  }
  return { rule, holds: true, reason: { code: "nose-known", teeth, thickness } };
}
function partsRule({ condemned, undecided }) {
  const rule = "parts-may-go-back-on";
  if (condemned.length > 0) return { rule, holds: false, reason: { code: "parts-condemned", parts: condemned } };
  if (undecided.length > 0) return { rule, holds: null, reason: { code: "parts-undecided", parts: undecided } };
  return { rule, holds: true, reason: { code: "parts-sound" } };
}
function kickbackRule({ kickbackClass, operatorTrained, kickbackChoice }) {
  const rule = "kickback-not-stepped-up";
  if (kickbackClass === "low-kickback") return { rule, holds: true, reason: { code: "kickback-low" } };
  if (kickbackChoice) return { rule, holds: true, reason: { code: "kickback-chosen", why: kickbackChoice } };
  if (kickbackClass === null || operatorTrained === null)
    return { rule, holds: null, reason: { code: "kickback-unknown" } };
  return {
    rule,
    holds: operatorTrained,
    reason: { code: operatorTrained ? "kickback-trained" : "kickback-untrained" }
  };
}
function sprocketRule({ sprocketSound: sprocketSound2 }) {
  const rule = "sprocket-takes-new-chain";
  if (sprocketSound2 === null) return { rule, holds: null, reason: { code: "sprocket-unmeasured" } };
  if (sprocketSound2 === "close") return { rule, holds: null, reason: { code: "sprocket-close" } };
  return { rule, holds: sprocketSound2, reason: { code: sprocketSound2 ? "sprocket-sound" : "sprocket-worn" } };
}
function judgeFit(context) {
  const { chain, bar, driveSprocket } = context.identity;
  return [
    compared("chain-pitch-is-sprocket-pitch", chain.pitch, driveSprocket.pitch, ["chain.pitch", "driveSprocket.pitch"]),
    compared("chain-pitch-is-bar-pitch", chain.pitch, bar.pitch, ["chain.pitch", "bar.pitch"]),
    nosePitchRule(context),
    gaugeRule(context),
    compared("chain-links-are-bar-links", chain.driveLinks, bar.driveLinks, ["chain.driveLinks", "bar.driveLinks"]),
    pairRule(context),
    patternRule("bar-mount-is-saw-mount", "mount", context.barMount, context.sawMount),
    patternRule("oil-hole-is-saw-oil-hole", "oilHole", context.barOilHole, context.sawOilHole),
    noseKnownRule(context),
    kickbackRule(context),
    sprocketRule(context),
    partsRule(context)
  ];
}

// src/core/fit/context.ts
var valueOf = (reading2) => reading2 ? estimate(reading2)?.value ?? null : null;
function classKnown({ job, chain }) {
  return {
    kickbackClass: chain?.kickbackClass ?? null,
    operatorTrained: job?.operatorTrained ?? null,
    kickbackChoice: job?.kickbackChoice?.trim() || null
  };
}
function fitContext(sheet2, identity, sound, verdicts) {
  const { bar, saw, chain } = sheet2;
  const judged2 = (action) => verdicts ? PARTS.filter((part6) => brought(sheet2, part6) && verdicts[part6].action === action) : [];
  return {
    identity,
    tang: valueOf(chain?.tang),
    barMount: bar?.mount ?? null,
    sawMount: saw?.mount ?? null,
    barOilHole: bar?.oilHole ?? null,
    sawOilHole: saw?.oilHole ?? null,
    nose: { hard: bar?.nose === "hard", teeth: bar?.noseTeeth ?? null, thickness: valueOf(bar?.thickness) },
    ...classKnown(sheet2),
    sprocketSound: sound,
    condemned: judged2("replace"),
    undecided: judged2("undecided")
  };
}

// src/core/loop/assessed.ts
var read2 = (reading2) => reading2 ? estimate(reading2) : null;
function familyOf({ chain, bar, driveSprocket }) {
  const alike2 = ({ value: value2, candidates }) => {
    if (value2 !== null) return value2;
    const live2 = candidates.filter(({ weight }) => weight >= 0.05).map((candidate) => candidate.value);
    return new Set(live2.map((family2) => FAMILIES[family2].pitch)).size === 1 ? live2[0] : null;
  };
  return alike2(chain.pitch) ?? alike2(bar.pitch) ?? alike2(driveSprocket.pitch);
}
function loopPitch(sheet2, family2, { elongation: elongation2 }) {
  const measured2 = measuredPitch(sheet2);
  if (measured2) return { pitch: measured2.value, from: "span" };
  const made2 = FAMILIES[family2].pitch;
  return elongation2 ? { pitch: made2 * (1 + elongation2.percent / 100), from: "push-pull" } : { pitch: made2, from: "nominal" };
}
function tensionOf(sheet2, identity, chain) {
  const [back, out] = [read2(sheet2.loop?.centreBack), read2(sheet2.loop?.centreOut)];
  const links = identity.chain.driveLinks.value;
  const family2 = familyOf(identity);
  if (!back || !out || links === null || !family2 || out.value <= back.value) return null;
  const pitch = loopPitch(sheet2, family2, chain);
  const wheels = wheelsAt(sheet2, pitch.pitch);
  const position = wheels && adjusterPosition(wheels, { back: back.value, out: out.value }, links, pitch.pitch);
  if (!position) return null;
  const close = Math.abs(position.left) < 2 * out.u || Math.abs(position.used) < 2 * back.u;
  return { ...position, ...pitch, links, travel: out.value - back.value, close };
}
function travelLinks(sheet2, identity) {
  const [back, out] = [read2(sheet2.loop?.centreBack), read2(sheet2.loop?.centreOut)];
  const family2 = familyOf(identity);
  const wheels = family2 && wheelsAt(sheet2, FAMILIES[family2].pitch);
  if (!back || !out || !family2 || !wheels) return null;
  return linksInTravel(wheels, { back: back.value, out: out.value }, FAMILIES[family2].pitch);
}
function lengthsOf({ bar }) {
  const effective = read2(bar?.effectiveLength);
  const stamped = stated(readStamp(bar?.stamp ?? ""), "listedLength")[0]?.meaning.value ?? null;
  const said = read2(bar?.listedLength)?.value ?? stamped;
  return {
    effective,
    listedAs: effective ? listedLengths(effective.value) : [],
    said,
    agrees: effective && said !== null ? listedAgrees(said, effective.value) : null,
    reach: read2(bar?.reach)
  };
}
function plausibility(identity, lengths) {
  const family2 = familyOf(identity);
  const links = identity.chain.driveLinks.value ?? identity.bar.driveLinks.value;
  const [shortest] = lengths.listedAs;
  const listed = lengths.said ?? (shortest ? mm(shortest.inches * 25.4) : null);
  if (!family2 || links === null || listed === null) return null;
  const found = plausibleLoop(family2, listed, links);
  return found && { links, ...found };
}
var NEEDED = ["loop.centreBack", "loop.centreOut", "driveSprocket.teeth", "chain.driveLinks", "chain.pitch"];
function missingFor(sheet2, identity) {
  const there = {
    "loop.centreBack": sheet2.loop?.centreBack !== void 0,
    "loop.centreOut": sheet2.loop?.centreOut !== void 0,
    "driveSprocket.teeth": sheet2.driveSprocket?.teeth !== void 0,
    "chain.driveLinks": identity.chain.driveLinks.value !== null,
    "chain.pitch": familyOf(identity) !== null
  };
  const hard = sheet2.bar?.nose === "hard";
  const nose = hard ? sheet2.loop?.noseRadius : sheet2.bar?.noseTeeth;
  const wheel = nose === void 0 ? [hard ? "loop.noseRadius" : "bar.noseTeeth"] : [];
  return [...NEEDED.filter((path) => !there[path]), ...wheel];
}
function assessLoop(sheet2, identity, chain) {
  const family2 = familyOf(identity);
  const { teeth } = sheet2.driveSprocket ?? {};
  const { maxRpm } = sheet2.saw ?? {};
  const lengths = lengthsOf(sheet2);
  return {
    tension: tensionOf(sheet2, identity, chain),
    linksInTravel: travelLinks(sheet2, identity),
    chainSpeed: family2 && teeth !== void 0 && maxRpm !== void 0 ? chainSpeed(FAMILIES[family2].pitch, teeth, maxRpm) : null,
    lengths,
    plausible: plausibility(identity, lengths),
    missing: missingFor(sheet2, identity)
  };
}

// src/core/next/gain.ts
function gainOfRepeat(margin, u, v) {
  const now = normalCdf(-Math.abs(margin) / u);
  const posterior = u * v / quadrature(u, v);
  const spread = u * u / quadrature(u, v);
  const STEPS = 120;
  const REACH2 = 6;
  let after2 = 0;
  for (let i = 0; i <= STEPS; i += 1) {
    const z4 = -REACH2 + 2 * REACH2 * i / STEPS;
    const weight = normalPdf(z4) * (2 * REACH2 / STEPS);
    after2 += weight * normalCdf(-Math.abs(margin + spread * z4) / posterior);
  }
  return Math.max(0, now - after2);
}

// src/core/next/next.ts
var BLIND = 0.5;
function repeats(checks2) {
  return checks2.flatMap((check) => {
    const { condemns, outcome, value: value2, limit: limit2, uncertainty, repeat } = check;
    if (!condemns || outcome !== "undecided" || value2 === null || limit2 === null || !uncertainty || !repeat) return [];
    const gain = gainOfRepeat(value2 - limit2, uncertainty, Math.min(uncertainty, repeat.u));
    const reason = { code: "too-close", check, instrument: repeat.tool };
    return [{ measure: repeat.measure, gain: Math.max(gain, LEAST_GAIN2), minutes: minutesFor(repeat.measure), reason }];
  });
}
var LEAST_GAIN2 = 0.01;
function otherSide(checks2) {
  return checks2.flatMap((check) => {
    const { condemns, outcome, note, at: at2, bound, repeat } = check;
    if (!condemns || outcome !== "undecided") return [];
    const found = (measure) => ({
      measure,
      gain: BLIND,
      minutes: minutesFor(measure),
      reason: { code: "one-side-known", check }
    });
    const there = (field) => stationPath(at2?.edge ?? "A", at2?.station ?? 0, field);
    if (note?.code === "mouth-alone") return [found(there("deep")), found("bar.checks.straightEdge")];
    if (note?.code === "floor-alone") return [found(there("mouth"))];
    return bound && repeat ? [found(repeat.measure)] : [];
  });
}
function levelTests({ standing }, sheet2) {
  return EDGES.flatMap((edge3) => {
    const { belief, stations } = standing[edge3];
    const chance = belief?.stepChance ?? 0;
    if (!belief || Math.min(chance, 1 - chance) < WORTH_A_TEST) return [];
    const open = belief.stations.flatMap(
      (place, i) => place && stations[i] && !stations[i].square ? [{ i, step: Math.abs(place.step.value) }] : []
    );
    const steepest2 = open.reduce(
      (most, next2) => most && most.step >= next2.step ? most : next2,
      null
    );
    const reason = { code: "step-may-stand", edge: edge3, chance };
    const gain = Math.min(chance, 1 - chance) / 2;
    const at2 = (measure) => ({ measure, gain, minutes: minutesFor(measure), reason });
    return [
      ...sheet2.bar?.edges?.[edge3]?.stands ? [] : [at2(`bar.edges.${edge3}.stands`)],
      ...steepest2 ? [at2(stationPath(edge3, steepest2.i, "square"))] : []
    ];
  });
}
var WORTH_A_TEST = 0.2;
function missing(sheet2, verdicts) {
  return verdicts.flatMap(({ part: part6, action }) => {
    if (action !== "undecided" || !brought(sheet2, part6)) return [];
    return missingReadings(sheet2, part6).map((measure) => ({
      measure,
      gain: BLIND,
      minutes: minutesFor(measure),
      reason: { code: "never-measured", part: part6 }
    }));
  });
}
function identifying2(sheet2, { chain }) {
  if (!sheet2.chain) return [];
  return ["pitch", "gauge", "driveLinks"].flatMap((property) => {
    const { settledBy } = chain[property];
    return settledBy ? [{ ...settledBy, reason: { code: "settles", property } }] : [];
  });
}
function limitWaits(checks2, { bar }) {
  const waits = (reading2) => checks2.some(({ note }) => note?.code === "needs" && note.readings.includes(reading2));
  return ["pitch", "gauge"].flatMap((property) => {
    if (!waits(`bar.${property}`)) return [];
    const measure = bar[property].settledBy?.measure ?? "bar.stamp";
    return [{ measure, gain: BLIND, minutes: minutesFor(measure), reason: { code: "limit-waits", property } }];
  });
}
function unjudged2(checks2) {
  return checks2.flatMap((check) => {
    const { outcome, value: value2, repeat, note } = check;
    if (outcome !== "not-measured" || value2 === null || !repeat) return [];
    if (note?.code === "needs" && note.readings.some((reading2) => reading2 === "bar.pitch" || reading2 === "bar.gauge"))
      return [];
    const { measure } = repeat;
    return [{ measure, gain: BLIND, minutes: minutesFor(measure), reason: { code: "one-side-known", check } }];
  });
}
function nextMeasurements(sheet2, identity, checks2, verdicts, bar) {
  const open = verdicts.filter(({ action }) => action === "undecided").map(({ part: part6 }) => part6);
  const undecided = checks2.filter(({ part: part6 }) => open.includes(part6));
  const all = [
    ...missing(sheet2, verdicts),
    ...limitWaits(undecided, identity),
    ...otherSide(undecided),
    ...unjudged2(undecided),
    ...repeats(undecided),
    ...verdicts.some(({ part: part6, action }) => part6 === "bar" && action !== "replace") ? levelTests(bar, sheet2) : [],
    ...identifying2(sheet2, identity)
  ];
  const best = /* @__PURE__ */ new Map();
  for (const next2 of all) if (next2.gain > (best.get(next2.measure)?.gain ?? 0)) best.set(next2.measure, next2);
  return [...best.values()].sort((a, b) => b.gain / b.minutes - a.gain / a.minutes);
}

// src/core/nose/checks.ts
var assessNose = ({ bar }) => seenChecks("nose", "bar.checks", bar?.checks ?? {}, bar?.nose === "hard" ? "hard" : "sprocket");
function noseOnBar(sheet2, nose) {
  if (!nose.some(({ outcome, condemns }) => outcome === "fail" && condemns)) return null;
  const replaceable = sheet2.bar?.noseReplaceable;
  const head2 = { id: "bar.nose", part: "bar", condemns: replaceable !== true, work: RE_NOSE };
  if (replaceable === void 0)
    return observedCheck({ ...head2, note: { code: "ask-replaceable" } }, "unknown", { unknown: "undecided" });
  return observedCheck(head2, replaceable ? "replaceable" : "fixed", { replaceable: "fail", fixed: "fail" });
}
var RE_NOSE = { operation: "re-nose", from: "fail" };

// src/core/order/order.ts
var CLASHES = [
  "chain-pitch-is-sprocket-pitch",
  "chain-pitch-is-bar-pitch",
  "chain-pitch-is-nose-pitch",
  "chain-gauge-is-bar-gauge",
  "chain-links-are-bar-links"
];
function ordered(chain, bar) {
  return chain.candidates.length === 0 && chain.status === "open" ? bar : chain;
}
function decideOrder(identity, fit, class_) {
  const pitch = ordered(identity.chain.pitch, identity.bar.pitch);
  const gauge2 = ordered(identity.chain.gauge, identity.bar.gauge);
  const links = identity.chain.driveLinks;
  const withheld = [];
  if (pitch.value === null)
    withheld.push({ code: "not-settled", number: "pitch", status: pitch.status === "conflict" ? "conflict" : "open" });
  if (gauge2.value === null)
    withheld.push({ code: "not-settled", number: "gauge", status: gauge2.status === "conflict" ? "conflict" : "open" });
  if (links.value === null)
    withheld.push(
      links.candidates.length === 0 ? { code: "links-not-counted" } : { code: "not-settled", number: "driveLinks", status: links.status === "conflict" ? "conflict" : "open" }
    );
  for (const { rule, holds } of fit)
    if (holds === false && CLASHES.includes(rule)) withheld.push({ code: "parts-clash", rule });
  if (withheld.length > 0 || pitch.value === null || gauge2.value === null || links.value === null) return { withheld };
  return {
    order: { pitch: pitch.value, gauge: gauge2.value, driveLinks: links.value, kickbackClass: orderedClass(class_) }
  };
}
function orderedClass({ kickbackClass, operatorTrained, kickbackChoice }) {
  if (kickbackChoice) return "standard";
  if (kickbackClass === "low-kickback" || operatorTrained === false) return "low-kickback";
  return kickbackClass;
}

// src/core/sprocket/checks.ts
function assessDriveSprocket(sheet2, limits) {
  const part6 = "driveSprocket";
  const sprocket = sheet2.driveSprocket ?? {};
  const { wear } = sprocket;
  const checks2 = [
    wear ? readingCheck(
      { id: "sprocket.wear", part: part6, repeat: repeatOf("driveSprocket.wear", wear) },
      wear,
      limits["sprocket.wear"],
      limits["sprocket.wear.watch"]
    ) : missingCheck({ id: "sprocket.wear", part: part6 }, limits["sprocket.wear"].provenance, {
      code: "needs",
      readings: ["driveSprocket.wear"]
    }),
    ...seenChecks(part6, "driveSprocket", sprocket)
  ];
  if (sprocket.chainsRun !== void 0) {
    const limit2 = limits["sprocket.chains"];
    const check = workCheck({ id: "sprocket.chains", part: part6 }, { value: countOf(sprocket.chainsRun), u: 0 }, limit2);
    checks2.push(withOutcome(check, sprocket.chainsRun >= limit2.value ? "watch" : "ok"));
  }
  return checks2;
}
function sprocketSound(checks2) {
  const outcomes = checks2.filter(({ condemns }) => condemns).map(({ outcome }) => outcome);
  if (outcomes.includes("fail")) return false;
  if (outcomes.includes("undecided")) return "close";
  return outcomes.includes("not-measured") ? null : true;
}

// src/core/assess/assess.ts
function assess(asRead, limits, codes = [], schools = DEFAULT_SCHOOLS) {
  const sheet2 = withOwnScatter(asRead);
  const identity = identify2(sheet2, codes);
  const bar = assessBar(sheet2, identity, limits, schools);
  const chain = assessChain(sheet2, identity, limits);
  const sprocket = assessDriveSprocket(sheet2, limits);
  const nose = assessNose(sheet2);
  const barNose = noseOnBar(sheet2, nose);
  const checks2 = [...bar.checks, ...barNose ? [barNose] : [], ...nose, ...chain.checks, ...sprocket];
  const verdicts = Object.fromEntries(
    PARTS.map((part6) => [part6, verdictOn(part6, sheet2, checks2, bar, chain)])
  );
  const loop = assessLoop(sheet2, identity, chain);
  const fit = judgeFit(fitContext(sheet2, identity, sprocketSound(sprocket), verdicts));
  const order = decideOrder(identity, fit, classKnown(sheet2));
  const idle = idleReadings(asRead, bar.setting.ownLink !== null || bar.setting.linkThickness !== null);
  const next2 = nextMeasurements(sheet2, identity, checks2, Object.values(verdicts), bar);
  return { identity, bar, chain, loop, checks: checks2, verdicts, fit, order, next: next2, idle };
}
function plannedFor(part6, sheet2, bar, chain) {
  if (part6 === "bar")
    return EDGES.some((edge3) => bar.standing[edge3].dressing?.advised) ? ["dress-rails", "deburr"] : [];
  const isFiledBack = part6 === "chain" && (sheet2.chain?.damage?.length ?? 0) > 0 && chain.correction !== null;
  return isFiledBack ? ["file-back"] : [];
}
function verdictOn(part6, sheet2, all, bar, chain) {
  if (!brought(sheet2, part6)) return notBrought(part6);
  const checks2 = all.filter((check) => check.part === part6);
  const done = part6 === "bar" ? sheet2.bar?.reworkDone ?? [] : [];
  const wanted = operationsFor(checks2, plannedFor(part6, sheet2, bar, chain));
  const again = asksToMeasureAgain(done) && !bar.measuredAgain ? ["bar.after"] : [];
  return decide(part6, checks2, [...missingReadings(sheet2, part6), ...again], openWork(wanted, done), done);
}

// src/data/demo/sheets.ts
var mm2 = (value2) => `${Number(value2.toFixed(1)) === value2 ? value2.toFixed(1) : value2.toFixed(2)} mm`;
function edge(...rows2) {
  return {
    stations: rows2.map(([at2, near, far, mouth, deep, burrNear, burrFar]) => ({
      at: `${at2} mm`,
      near: mm2(near),
      far: mm2(far),
      ...mouth === void 0 ? {} : { mouth: mm2(mouth) },
      ...deep === void 0 ? {} : { deep: mm2(deep), deepAt: "3 mm" },
      ...burrNear ? { burrNear } : {},
      ...burrFar ? { burrFar } : {}
    }))
  };
}
var head = { format: "serrata-bench-sheet", version: 1 };
var DEMO_SHEETS = {
  // A bar worth dressing: leaned on, level enough inside, plenty of depth.
  "L-0417": {
    ...head,
    job: {
      symptoms: ["cuts-curved-left", "needs-force"],
      use: "limbing",
      operatorTrained: true,
      brought: ["whole-saw"],
      sharpening: "hand",
      turnOver: "never",
      complaint: "Pulls to the left since spring, worse in thick wood."
    },
    bar: {
      stamp: "18 in 325 .050 1.3 72DL",
      construction: "solid",
      edgeDown: "A",
      nose: "sprocket",
      noseTeeth: 10,
      noseReplaceable: true,
      mount: "M2",
      oilHole: "O1",
      reach: "16 3/4 in",
      thickness: "4.2 mm",
      bodyHeight: "58 mm",
      overallLength: "520 mm",
      effectiveLength: "17 1/4 in",
      checks: {
        bow: "0.1 mm",
        crack: "no",
        blueing: "no",
        slot: "ok",
        oilHoles: "blocked",
        groove: "packed",
        noseTurns: "free",
        tipPlay: "none",
        straightEdge: "gap-stays"
      },
      edges: {
        A: edge(
          [60, 8.1, 8, 1.4, 1.34],
          [140, 8, 7.7, 1.44, 1.35, "none", "felt"],
          [220, 7.9, 7.2, 1.52, 1.36, "none", "felt"],
          [300, 7.6, 6.9, 1.55, 1.36, "felt", "heavy"],
          [380, 7.8, 7.5, 1.48, 1.35],
          [450, 8, 7.9, 1.42, 1.34]
        ),
        B: edge(
          [60, 8.3, 8.35, 1.38, 1.33],
          [140, 8.2, 8.3, 1.39, 1.33],
          [220, 8, 8.25, 1.41, 1.34],
          [300, 7.95, 8.2, 1.42, 1.34],
          [380, 8.1, 8.25, 1.4, 1.34],
          [450, 8.2, 8.25, 1.38, 1.33]
        )
      }
    },
    chain: {
      span: { rivets: 11, length: "82.7 mm" },
      chassis: "large",
      driveLinkThickness: "1.26 mm",
      driveLinks: [72, 72],
      cutters: 36,
      tang: "5.2 mm",
      kerf: "6.9 mm",
      tipHeight: "10.5 mm",
      cuttersLeft: ["6.1 mm", "6.0 mm"],
      cuttersRight: ["5.8 mm", "5.9 mm"],
      pushPull: { joints: 36, closed: "297.0 mm", pulled: "299.6 mm" },
      checks: { crack: "no", strapBurrs: "light", burredTangs: 0, tightJoints: 0 },
      kickbackClass: "low-kickback",
      sequence: "full-complement"
    },
    saw: { oilHole: "O1" },
    loop: { centreBack: "518 mm", centreOut: "532 mm" },
    strip: { done: [...STRIP_ACTS] },
    driveSprocket: { type: "rim", teeth: 7, pitch: "325", wear: "0.2 mm", chainsRun: 1, turns: "free" }
  },
  // Too shallow: finished, whatever else is right.
  "L-0418": {
    ...head,
    job: {
      symptoms: ["runs-hot", "needs-force"],
      use: "bucking",
      operatorTrained: true,
      turnOver: "sometimes",
      complaint: "Bar smokes even with the oiler wide open."
    },
    bar: {
      stamp: "20 in 3/8 .058 1.5 72DL",
      construction: "laminated",
      nose: "sprocket",
      noseReplaceable: false,
      mount: "M4",
      thickness: "4.7 mm",
      bodyHeight: "68 mm",
      overallLength: "585 mm",
      checks: {
        bow: "0.2 mm",
        crack: "no",
        blueing: "heavy",
        slot: "worn",
        oilHoles: "clear",
        groove: "clean",
        noseTurns: "rough",
        tipPlay: "slight"
      },
      edges: {
        A: edge(
          [80, 6.4, 6.3, 1.72, 1.58],
          [190, 6, 5.8, 1.78, 1.6],
          [300, 5.6, 5.3, 1.86, 1.62, "felt", "heavy"],
          [410, 5.4, 5.2, 1.9, 1.62, "heavy", "heavy"],
          [510, 5.9, 5.8, 1.8, 1.6]
        ),
        B: edge(
          [80, 6.9, 6.9, 1.66, 1.57],
          [190, 6.7, 6.6, 1.68, 1.57],
          [300, 6.5, 6.5, 1.7, 1.58],
          [410, 6.4, 6.4, 1.72, 1.58],
          [510, 6.6, 6.6, 1.69, 1.57]
        )
      }
    },
    chain: {
      stamp: ".058",
      span: { rivets: 13, length: "113.2 mm" },
      chassis: "large",
      driveLinkThickness: "1.45 mm",
      driveLinks: [72, 72],
      cutters: 36,
      tang: "5.4 mm",
      cuttersLeft: ["7.2 mm", "7.0 mm"],
      cuttersRight: ["7.1 mm", "7.1 mm"],
      pushPull: { joints: 36, closed: "339.0 mm", pulled: "345.2 mm" },
      checks: { crack: "no", strapBurrs: "heavy", burredTangs: 3, tightJoints: 2 },
      kickbackClass: "standard",
      sequence: "full-complement"
    },
    driveSprocket: { type: "rim", teeth: 7, pitch: "38", wear: "0.35 mm", chainsRun: 2, turns: "free" }
  },
  // Depth within its doubt of the limit: measure again.
  "L-0419": {
    ...head,
    job: {
      symptoms: ["cuts-curved-right"],
      use: "bucking",
      operatorTrained: true,
      turnOver: "every-chain",
      complaint: "Wanders to the right halfway through a log."
    },
    bar: {
      stamp: "15 in .325 .050 64E",
      construction: "laminated",
      nose: "sprocket",
      noseReplaceable: false,
      mount: "M2",
      thickness: "4.2 mm",
      bodyHeight: "56 mm",
      overallLength: "445 mm",
      checks: {
        bow: "0.1 mm",
        crack: "no",
        blueing: "no",
        slot: "ok",
        oilHoles: "clear",
        groove: "clean",
        noseTurns: "free",
        tipPlay: "none"
      },
      edges: {
        A: edge(
          [60, 6.5, 6.5, 1.4],
          [140, 6.3, 6.25, 1.42],
          [220, 6.1, 6.05, 1.44],
          [300, 6.15, 6.1, 1.43],
          [380, 6.4, 6.4, 1.4]
        ),
        B: edge(
          [60, 6.6, 6.6, 1.39],
          [140, 6.5, 6.5, 1.4],
          [220, 6.4, 6.35, 1.41],
          [300, 6.4, 6.4, 1.41],
          [380, 6.5, 6.5, 1.39]
        )
      }
    },
    chain: {
      span: { rivets: 11, length: "82.6 mm" },
      driveLinkThickness: "1.25 mm",
      driveLinks: [64, 64],
      tang: "4.9 mm",
      kickbackClass: "low-kickback",
      checks: { crack: "no" },
      cuttersLeft: ["6.4 mm"],
      cuttersRight: ["6.3 mm"]
    },
    driveSprocket: { type: "spur", teeth: 7, pitch: "325", wear: "0.3 mm", chainsRun: 2, turns: "free" }
  },
  // Just taken in.
  "L-0420": {
    ...head,
    job: {
      symptoms: ["chain-comes-off"],
      use: "milling",
      operatorTrained: true,
      complaint: "Throws the chain when the bar gets warm."
    }
  },
  // The thin chain in a wide groove.
  "L-0421": {
    ...head,
    job: {
      symptoms: ["vibrates", "cuts-curved-left"],
      use: "limbing",
      operatorTrained: false,
      brought: ["whole-saw", "chain"],
      turnOver: "never",
      complaint: "New chain off a market stall, rattles ever since."
    },
    bar: {
      stamp: "14 in 3/8LP .050 1.3 52DL",
      construction: "laminated",
      nose: "sprocket",
      noseReplaceable: false,
      mount: "M1",
      thickness: "4.1 mm",
      bodyHeight: "52 mm",
      overallLength: "415 mm",
      checks: { bow: "0.1 mm", crack: "no", slot: "ok", oilHoles: "clear", noseTurns: "free" },
      edges: {
        A: edge(
          [60, 7, 6.95, 1.38, 1.33],
          [150, 6.9, 6.85, 1.4, 1.33],
          [240, 6.7, 6.65, 1.42, 1.34],
          [330, 6.8, 6.8, 1.4, 1.33]
        ),
        B: edge(
          [60, 7.1, 7.1, 1.36, 1.32],
          [150, 7, 7, 1.37, 1.33],
          [240, 6.9, 6.9, 1.38, 1.33],
          [330, 7, 7, 1.37, 1.33]
        )
      }
    },
    chain: {
      stamp: "3/8LP",
      span: { rivets: 11, length: "93.6 mm" },
      chassis: "small",
      driveLinkThickness: "1.09 mm",
      driveLinks: [52, 52],
      cutters: 26,
      sequence: "full-complement",
      tang: "4.6 mm",
      kickbackClass: "standard",
      checks: { crack: "no", burredTangs: 1 },
      cuttersLeft: ["8.8 mm"],
      cuttersRight: ["8.8 mm"]
    },
    driveSprocket: { type: "spur", teeth: 6, pitch: "38lp", wear: "0.15 mm", chainsRun: 1, turns: "free" }
  },
  // Nothing punched on it, 3/8 by measure: low profile or standard stays open.
  "L-0422": {
    ...head,
    job: {
      symptoms: ["needs-force"],
      use: "bucking",
      operatorTrained: false,
      complaint: "Wants a chain like this one, saw is at home."
    },
    chain: {
      span: { rivets: 3, length: "18.8 mm" },
      driveLinkThickness: "1.26 mm",
      driveLinks: [56, 57],
      cutters: 28,
      kickbackClass: "low-kickback"
    }
  },
  // Chain filed out: order ready, in stock.
  "L-0423": {
    ...head,
    job: {
      symptoms: ["fine-dust", "needs-force"],
      use: "limbing",
      operatorTrained: false,
      turnOver: "every-chain",
      complaint: "Cuts dust, has been sharpened a lot."
    },
    bar: {
      stamp: "16 in 3/8 LP .050 1.3 56DL",
      construction: "laminated",
      nose: "sprocket",
      noseReplaceable: false,
      mount: "M1",
      thickness: "4.1 mm",
      bodyHeight: "54 mm",
      overallLength: "465 mm",
      checks: {
        bow: "0.1 mm",
        crack: "no",
        blueing: "no",
        slot: "ok",
        oilHoles: "clear",
        groove: "clean",
        noseTurns: "free",
        tipPlay: "none",
        straightEdge: "gap-stays"
      },
      edges: {
        A: edge(
          [60, 7.6, 7.6, 1.34, 1.31],
          [150, 7.5, 7.5, 1.35, 1.31],
          [240, 7.4, 7.45, 1.36, 1.31],
          [330, 7.5, 7.5, 1.35, 1.31],
          [400, 7.6, 7.6, 1.34, 1.31]
        ),
        B: edge(
          [60, 7.7, 7.7, 1.33, 1.3],
          [150, 7.6, 7.6, 1.34, 1.31],
          [240, 7.55, 7.5, 1.35, 1.31],
          [330, 7.6, 7.6, 1.34, 1.31],
          [400, 7.7, 7.7, 1.33, 1.3]
        )
      }
    },
    chain: {
      stamp: "3/8LP .050",
      span: { rivets: 11, length: "94.1 mm" },
      chassis: "small",
      driveLinkThickness: "1.25 mm",
      driveLinks: [56, 56],
      cutters: 28,
      tang: "4.7 mm",
      cuttersLeft: ["4.3 mm", "4.2 mm"],
      cuttersRight: ["4.4 mm", "4.3 mm"],
      damage: [{ side: "left", cutter: 2, setBack: "0.7 mm" }],
      witnessLimit: "4.0 mm",
      pushPull: { joints: 28, closed: "262.0 mm", pulled: "266.9 mm" },
      checks: { crack: "no", strapBurrs: "light", burredTangs: 0, tightJoints: 0 },
      kickbackClass: "low-kickback",
      sequence: "full-complement"
    },
    driveSprocket: { type: "spur", teeth: 6, pitch: "38lp", wear: "0.2 mm", chainsRun: 1, turns: "free" }
  },
  // Only dirty.
  "L-0424": {
    ...head,
    job: {
      symptoms: ["will-not-oil", "will-not-take-up-tension"],
      use: "felling",
      operatorTrained: true,
      turnOver: "every-sharpening",
      complaint: "No oil at the tip, and the tensioner is at its end."
    },
    bar: {
      stamp: "24 in .404 .063 1.6 84DL",
      construction: "solid",
      nose: "sprocket",
      noseTeeth: 12,
      noseReplaceable: true,
      mount: "M5",
      thickness: "5.2 mm",
      bodyHeight: "76 mm",
      overallLength: "695 mm",
      checks: {
        bow: "0.15 mm",
        crack: "no",
        blueing: "no",
        slot: "ok",
        oilHoles: "blocked",
        groove: "packed",
        noseTurns: "free",
        tipPlay: "none",
        straightEdge: "gap-stays"
      },
      edges: {
        A: edge(
          [90, 9.2, 9.2, 1.7, 1.66],
          [210, 9.1, 9.1, 1.71, 1.66],
          [330, 9, 9.05, 1.72, 1.66],
          [450, 8.95, 9, 1.72, 1.67],
          [580, 9.1, 9.1, 1.7, 1.66]
        ),
        B: edge(
          [90, 9.3, 9.3, 1.69, 1.65],
          [210, 9.2, 9.2, 1.7, 1.66],
          [330, 9.15, 9.1, 1.71, 1.66],
          [450, 9.1, 9.1, 1.71, 1.66],
          [580, 9.2, 9.2, 1.69, 1.66]
        )
      }
    },
    chain: {
      stamp: ".404 .063",
      driveLinkThickness: "1.59 mm",
      span: { rivets: 9, length: "82.3 mm" },
      driveLinks: [84, 84],
      tang: "6.4 mm",
      cuttersLeft: ["9.4 mm"],
      cuttersRight: ["9.5 mm"],
      checks: { crack: "no", strapBurrs: "none", burredTangs: 0 },
      pushPull: { joints: 42, closed: "431.0 mm", pulled: "433.6 mm" },
      kickbackClass: "standard"
    },
    loop: { centreBack: "748 mm", centreOut: "762 mm" },
    driveSprocket: { type: "rim", teeth: 7, pitch: "404", wear: "0.15 mm", chainsRun: 1, turns: "free" }
  },
  // Sprocket past its limit: no new chain on it.
  "L-0425": {
    ...head,
    job: {
      symptoms: ["eats-chains", "vibrates"],
      use: "bucking",
      operatorTrained: true,
      turnOver: "sometimes",
      complaint: "Third chain this year, drive links all chewed."
    },
    bar: {
      stamp: "16 in .325 .058 1.5 66DL",
      construction: "solid",
      nose: "sprocket",
      noseReplaceable: true,
      mount: "M2",
      thickness: "4.5 mm",
      bodyHeight: "60 mm",
      overallLength: "470 mm",
      checks: {
        bow: "0.3 mm",
        crack: "no",
        blueing: "light",
        slot: "ok",
        oilHoles: "clear",
        groove: "clean",
        noseTurns: "seized",
        tipPlay: "slight"
      },
      edges: {
        A: edge(
          [60, 7.4, 7.4, 1.6, 1.53],
          [150, 7.3, 7.25, 1.62, 1.54],
          [240, 7.2, 7.15, 1.63, 1.54],
          [330, 7.2, 7.2, 1.62, 1.54],
          [410, 7.3, 7.3, 1.6, 1.53]
        ),
        B: edge(
          [60, 7.5, 7.5, 1.58, 1.53],
          [150, 7.4, 7.4, 1.6, 1.53],
          [240, 7.3, 7.35, 1.61, 1.54],
          [330, 7.4, 7.4, 1.6, 1.53],
          [410, 7.45, 7.45, 1.59, 1.53]
        )
      }
    },
    chain: {
      span: { rivets: 11, length: "83.4 mm" },
      driveLinkThickness: "1.43 mm",
      driveLinks: [66, 66],
      cutters: 33,
      sequence: "full-complement",
      tang: "5.0 mm",
      cuttersLeft: ["6.9 mm"],
      cuttersRight: ["6.8 mm"],
      checks: { crack: "yes", burredTangs: 18, strapBurrs: "heavy" },
      kickbackClass: "low-kickback"
    },
    driveSprocket: { type: "spur", teeth: 7, pitch: "325", wear: "0.75 mm", chainsRun: 4, turns: "rough" }
  },
  // Half measured when the tablet went to sleep.
  "L-0426": {
    ...head,
    job: {
      symptoms: ["cuts-curved-left"],
      use: "milling",
      operatorTrained: true,
      turnOver: "never",
      complaint: "Boards come out wedge-shaped."
    },
    bar: {
      stamp: "50cm 3/8 .063 72",
      construction: "solid",
      nose: "hard",
      mount: "M4",
      thickness: "4.8 mm",
      bodyHeight: "70 mm",
      overallLength: "590 mm",
      checks: { crack: "unsure", slot: "ok", oilHoles: "clear", hardNose: "worn" },
      edges: { A: edge([80, 9, 8.6, 1.74, 1.67], [190, 8.9, 8.3, 1.78, 1.68]) }
    },
    chain: {
      span: { rivets: 11, length: "94.0 mm" },
      chassis: "large",
      driveLinkThickness: "1.58 mm",
      driveLinks: [72]
    }
  },
  // Sound all round, signed off yesterday.
  "L-0416": {
    ...head,
    job: {
      symptoms: [],
      use: "limbing",
      operatorTrained: false,
      turnOver: "every-chain",
      complaint: "Yearly look over before the pruning season."
    },
    bar: {
      stamp: "12 in 1/4 .043 1.1 64DL",
      construction: "laminated",
      nose: "sprocket",
      noseReplaceable: false,
      mount: "M1",
      thickness: "3.6 mm",
      bodyHeight: "46 mm",
      overallLength: "365 mm",
      checks: {
        bow: "0.05 mm",
        crack: "no",
        blueing: "no",
        slot: "ok",
        oilHoles: "clear",
        groove: "clean",
        noseTurns: "free",
        tipPlay: "none",
        straightEdge: "gap-stays"
      },
      edges: {
        A: edge(
          [50, 5.9, 5.9, 1.16, 1.13],
          [110, 5.85, 5.85, 1.17, 1.13],
          [170, 5.8, 5.8, 1.17, 1.13],
          [230, 5.8, 5.8, 1.17, 1.13],
          [290, 5.9, 5.9, 1.16, 1.13]
        ),
        B: edge(
          [50, 6, 6, 1.15, 1.12],
          [110, 5.95, 5.95, 1.16, 1.13],
          [170, 5.9, 5.9, 1.16, 1.13],
          [230, 5.9, 5.9, 1.16, 1.13],
          [290, 5.95, 5.95, 1.15, 1.12]
        )
      }
    },
    chain: {
      stamp: "1/4 .043",
      span: { rivets: 11, length: "63.6 mm" },
      driveLinkThickness: "1.08 mm",
      driveLinks: [64, 64],
      cutters: 32,
      sequence: "full-complement",
      tang: "4.0 mm",
      cuttersLeft: ["6.2 mm"],
      cuttersRight: ["6.2 mm"],
      pushPull: { joints: 32, closed: "203.4 mm", pulled: "204.6 mm" },
      checks: { crack: "no", strapBurrs: "none", burredTangs: 0, tightJoints: 0 },
      kickbackClass: "low-kickback"
    },
    driveSprocket: { type: "spur", teeth: 8, pitch: "quarter", wear: "0.1 mm", chainsRun: 0, turns: "free" }
  }
};

// scripts/_p.ts
var sheet = structuredClone(DEMO_SHEETS["L-0417"]);
var edge2 = (lean) => ({ stations: Array.from({ length: 12 }, (_, i) => ({ at: `${40 + Math.round(i * 432 / 12)} mm`, near: `${(8 - 0.05 * i).toFixed(2)} mm`, far: `${(8 - 0.05 * i - lean * (i % 4)).toFixed(2)} mm`, mouth: `${(1.38 + 0.01 * i).toFixed(2)} mm`, deep: "1.34 mm", deepAt: "3 mm" })) });
sheet.bar.edges = { A: edge2(0.1), B: edge2(-0.05) };
var read3 = readSheet(sheet);
if (!read3.ok) throw new Error(JSON.stringify(read3.error));
var N = Number(process.argv[2] ?? 1500);
for (let i = 0; i < 150; i++) assess(read3.value, DEFAULTS);
var t = [];
for (let i = 0; i < N; i++) {
  const s = performance.now();
  assess(read3.value, DEFAULTS);
  t.push(performance.now() - s);
}
var B = [];
for (let i = 0; i + 50 <= N; i += 50) {
  B.push(t.slice(i, i + 50).reduce((a, b) => a + b, 0) / 50);
}
B.sort((a, b) => a - b);
t.sort((a, b) => a - b);
console.log("p10", t[N / 10 | 0].toFixed(3), "p50", t[N / 2 | 0].toFixed(3), "p90", t[N * 9 / 10 | 0].toFixed(3), "best batch", B[0].toFixed(3));
