import type { ItemKind } from './registry.js';

/**
 * What lists call things of each kind, in the languages lists come in (common practice).
 * The order decides where several fit: what is written on a lens fits many.
 */
const CALLED: Record<ItemKind, RegExp> = {
  teleconverter: /tele-?con?verter|telekonverter|extender|multiplicateur|duplicador|\b(1[.,]4|1[.,]7|2)x\s*(tc|iii?|extender)\b/,
  'viewfinder-loupe': /loupe|lupe\b/,
  eyepiece: /eyepiece|okular|oculaire|ocular\b/,
  binocular: /binocular|fernglas|jumelles|prism[aá]tico|feldstecher|\b\d{1,2}\s*[x×]\s*\d{2}\b/,
  refractor: /refractor|refraktor|apochromat|lunette astro/,
  reflector: /newton|reflector|reflektor|dobson|cassegrain|\bmak\b|spiegelteleskop|t[ée]lescope/,
  port: /dome port|flat port|\bport\b|housing|unterwasser|caisson/,
  drone: /drone|drohne|quadro?copter|multicopter/,
  flash: /flash|blitz|speedlight|strobe/,
  filter: /filter|filtre|filtro|polari[sz]|\buv\b|\bc-?pl\b|\bnd ?\d+|graduated|infrared pass|close-?up lens|nahlinse/,
  accessory:
    /tripod|stativ|tr[ée]pied|tr[ií]pode|monopod|ball head|kugelkopf|\bcap\b|deckel|hood\b|gegenlichtblende|strap|gurt|\bbag\b|tasche|\bcard\b|speicherkarte|battery|akku|batterie|charger|ladeger[aä]t|adapt[eo]r|bellows|balgen|extension tube|zwischenring|grip\b/,
  phone: /smartphone|\bphone\b|handy\b/,
  'film-camera': /rangefinder|messsucher|film camera|analog|medium format camera|folding camera|tlr\b|35 ?mm camera|argentique/,
  'slr-body': /\bd?slr\b|spiegelreflex/,
  'mirrorless-body': /mirrorless|spiegellos|systemkamera|\bbody\b|geh[aä]use|bo[iî]tier|cuerpo|corpo\b/,
  compact: /compact|kompakt|bridge camera|point.and.shoot/,
  lens: /lens|objektiv|objectif|objetivo|obiettivo|lente\b|zoom|macro|makro|fisheye|tilt|\b\d{1,4}(-\d{1,4})?\s*mm\b|\bf\s*\/?\s*\d|\b\d{2,3}\s*\/\s*\d(\.\d)?\b|1:\d/,
};

/** In the order in which they are tried. */
const ORDER = Object.keys(CALLED) as ItemKind[];
/** A camera that is called nothing more. */
const CAMERA = /camera|kamera|appareil|c[aá]mara/;

/** The kind a list means by these words, as well as it can be told; null where nothing is known by them. */
export function guessKind(words: string): ItemKind | null {
  const text = words.toLowerCase();
  return ORDER.find((kind) => CALLED[kind].test(text)) ?? (CAMERA.test(text) ? 'mirrorless-body' : null);
}
