import { IMPORT_TARGETS, type ImportMapping, type ImportTarget } from '@bright-keeper/contract';
import { care, gear } from '@bright-keeper/core';

/** Words people write over such columns, besides our own names for them. */
const OTHER_HEADINGS: Partial<Record<ImportTarget, string[]>> = {
  name: [
    'item',
    'title',
    'model',
    'lens',
    'thing',
    'description',
    'bezeichnung',
    'titel',
    'titre',
    'título',
    'gegenstand',
    'what',
    'gerät',
    'modell',
    'nom',
    'désignation',
    'modèle',
    'nombre',
    'modelo',
    'objeto',
  ],
  kind: ['type', 'category', 'class', 'art', 'typ', 'kategorie', 'genre', 'catégorie', 'tipo', 'clase', 'categoría'],
  notes: ['note', 'remark', 'remarks', 'comment', 'comments', 'notizen', 'bemerkung', 'bemerkungen', 'remarque', 'notas', 'observaciones'],
  acquiredOn: [
    'acquired',
    'acquired on',
    'bought',
    'bought on',
    'purchased',
    'purchase date',
    'date',
    'since',
    'gekauft',
    'gekauft am',
    'kaufdatum',
    'datum',
    'achete le',
    'acheté le',
    'achat',
    'date d achat',
    'comprado',
    'fecha',
    'fecha de compra',
  ],
  status: ['state', 'statut', 'estatus'],
  place: [
    'place',
    'location',
    'where',
    'stored in',
    'storage',
    'kept in',
    'ort',
    'lagerort',
    'lieu',
    'emplacement',
    'rangement',
    'lugar',
    'ubicación',
  ],
  maker: ['brand', 'make', 'manufacturer', 'hersteller', 'marke', 'fabricant', 'marque', 'fabricante', 'marca'],
  model: ['modell', 'modele', 'modèle', 'modelo'],
  serial: [
    'serial',
    'serial no',
    'serial nr',
    's n',
    'sn',
    'seriennummer',
    'serien nr',
    'numéro de série',
    'numero de serie',
    'n de série',
    'n serie',
    'número de serie',
  ],
  count: [
    'quantity',
    'qty',
    'count',
    'pieces',
    'pcs',
    'anzahl',
    'stück',
    'stückzahl',
    'menge',
    'quantité',
    'nombre de pièces',
    'cantidad',
    'unidades',
  ],
  tags: ['tag', 'labels', 'label', 'keywords', 'schlagworte', 'stichworte', 'étiquettes', 'mots clés', 'etiquetas'],
  mount: ['mount', 'bayonet', 'bajonett', 'anschluss', 'monture', 'baïonnette', 'montura'],
  takesMount: ['lens mount', 'takes lenses', 'kamerabajonett'],
  threadMm: [
    'thread',
    'filter size',
    'filter thread',
    'filtergewinde',
    'gewinde',
    'filter ø',
    'diamètre filtre',
    'filetage',
    'rosca',
    'diámetro filtro',
  ],
  widestFNumber: ['max aperture', 'maximum aperture', 'lichtstärke', 'ouverture max', 'apertura máxima'],
  massG: ['weight', 'mass', 'gewicht', 'poids', 'peso', 'weight g', 'gewicht g', 'poids g', 'peso g'],
  lengthMm: ['length mm', 'länge', 'longueur', 'longitud'],
  condition: ['condition', 'state', 'zustand', 'état', 'estado'],
  boughtFrom: ['shop', 'seller', 'dealer', 'from', 'händler', 'gekauft bei', 'vendeur', 'magasin', 'tienda', 'vendedor'],
  paid: ['purchase price', 'price paid', 'cost', 'kaufpreis', 'bezahlt', 'prix d achat', 'payé', 'precio de compra', 'pagado'],
  insuredFor: [
    'insured',
    'insured value',
    'insurance value',
    'versichert',
    'versicherungswert',
    'assuré',
    'valeur assurée',
    'asegurado',
    'valor asegurado',
  ],
  warrantyUntil: ['warranty', 'guarantee', 'garantie', 'garantie bis', 'garantía', 'fin de garantie'],
  'trait:coating': ['coated', 'coatings', 'vergütung', 'vergütet', 'traitement', 'revestimiento'],
  'trait:yearMade': ['year', 'made', 'baujahr', 'jahr', 'année', 'annee', 'año', 'ano'],
  'trait:value': ['price', 'worth', 'preis', 'wert', 'prix', 'valeur', 'precio', 'valor'],
};

const traitOf = (target: ImportTarget): care.TraitId | null => (target.startsWith('trait:') ? (target.slice(6) as care.TraitId) : null);
/** A heading or a word by its letters and digits only. */
export const bare = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

function headingsFor(target: ImportTarget): string[] {
  const trait = traitOf(target);
  const particular = gear.PARTICULAR_IDS.find((id) => id === target);
  const own = trait ? [trait, care.TRAITS[trait].name] : particular ? [gear.particularFacts(particular).name] : [];
  return [target, ...own, ...(OTHER_HEADINGS[target] ?? [])].map(bare);
}

/** The column for each target, by the words over it; each column is taken once. */
export function guessMapping(columns: readonly string[]): ImportMapping {
  const free = new Set(columns);
  const mapping: ImportMapping = {};
  for (const target of IMPORT_TARGETS) {
    // By the better word first: a column "Model" is the name only where none is called so.
    const column = headingsFor(target)
      .map((name) => [...free].find((c) => bare(c) === name))
      .find((c) => c !== undefined);
    if (column === undefined) continue;
    mapping[target] = column;
    free.delete(column);
  }
  return mapping;
}
