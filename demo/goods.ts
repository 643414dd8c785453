import type { Catalogue, Good } from '../core/model/good.ts';

const size = (length: number, width: number, height: number): Good['size'] => ({ length, width, height });

const physical = (sku: string, name: string, price: number, part: Partial<Good>): Good => ({
  sku,
  name,
  price,
  fulfilment: 'physical',
  ...part,
});

const SEEDS: [string, string, number][] = [
  ['lupin', 'Lupin seeds', 375],
  ['foxglove', 'Foxglove seeds', 360],
  ['sea-thrift', 'Sea thrift seeds', 425],
  ['scarlet-bean', 'Scarlet bean seeds', 395],
  ['kale', 'Curled kale seeds', 325],
  ['poppy', 'Iceland poppy seeds', 360],
];

const seeds = SEEDS.map(([sku, name, price]) =>
  physical(`seed-${sku}`, name, price, { weight: 12, size: size(110, 80, 3), hsCode: '120991' }),
);

const bulbs = [
  physical('bulb-garlic', 'Hardneck garlic, 10 cloves', 1_450, { weight: 320, size: size(160, 120, 80) }),
  physical('bulb-daffodil', 'Daffodil bulbs, 25', 1_875, { weight: 1_100, size: size(240, 180, 140) }),
  physical('bulb-tulip', 'Tulip bulbs, 25', 2_150, { weight: 900, size: size(240, 180, 140) }),
];

const plants = [
  physical('plant-heather', 'Heather, young', 1_250, {
    weight: 480,
    size: size(110, 110, 220),
    keepUpright: true,
  }),
  physical('plant-lavender', 'Lavender, young', 1_250, {
    weight: 450,
    size: size(110, 110, 240),
    keepUpright: true,
  }),
  physical('plant-sea-kale', 'Sea kale, young', 1_400, {
    weight: 520,
    size: size(110, 110, 200),
    keepUpright: true,
  }),
  physical('house-fern', 'Maidenhair fern', 2_600, {
    weight: 1_350,
    size: size(180, 180, 380),
    keepUpright: true,
  }),
  physical('house-fig', 'Fiddle fig', 5_800, { weight: 4_200, size: size(240, 240, 900), keepUpright: true }),
];

const pots = [
  physical('pot-18', 'Glazed pot, 18 cm', 2_200, {
    weight: 2_000,
    size: size(200, 200, 190),
    hsCode: '6912.00',
    madeIn: 'CA',
  }),
  physical('pot-26', 'Glazed pot, 26 cm', 3_550, {
    weight: 3_200,
    size: size(280, 280, 260),
    hsCode: '6912.00',
    madeIn: 'CA',
  }),
  physical('pot-34', 'Glazed pot, 34 cm', 6_400, { weight: 8_600, size: size(360, 360, 340), onceFee: 360 }),
  physical('pot-urn', 'Glazed urn, 48 cm', 11_900, {
    weight: 14_000,
    size: size(500, 500, 520),
    onceFee: 600,
  }),
  physical('pot-nest', 'Pot set, three nested', 9_800, {
    weight: 7_400,
    size: size(360, 360, 300),
    packsAlone: true,
  }),
  physical('pot-salt', 'Salt-glaze planter', 7_200, { size: size(400, 300, 280) }),
  physical('saucer', 'Saucer, 26 cm', 920, { weight: 700, size: size(270, 270, 40) }),
];

const yard = [
  physical('cane-bamboo', 'Bamboo canes, 1.8 m, 20', 2_450, { weight: 5_200, size: size(1_800, 120, 120) }),
  physical('trellis', 'Cedar trellis, 1.6 m', 6_900, { weight: 6_800, size: size(1_600, 600, 60) }),
  physical('soil-20', 'Potting soil, 20 L', 1_395, { weight: 9_000, size: size(600, 380, 120) }),
  physical('grit-10', 'Horticultural grit, 10 kg', 1_150, { weight: 10_000, size: size(420, 300, 90) }),
];

const dry = [
  physical('trowel', 'Hand trowel', 2_350, { weight: 310, size: size(320, 80, 50) }),
  physical('snips', 'Pruning snips', 3_900, { weight: 240, size: size(200, 70, 25) }),
  physical('gloves', 'Leather gloves', 3_200, { weight: 190 }),
  physical('can-6', 'Watering can, 6 L', 4_650, { weight: 1_450, size: size(420, 190, 340) }),
  physical('labels', 'Slate labels, 12', 1_600, { weight: 540, size: size(150, 60, 60) }),
  physical('catalogue', 'Printed list of plants', 0, {
    weight: 140,
    size: size(240, 170, 6),
    chargeFree: true,
  }),
];

const digital: Good[] = [
  { sku: 'gift-card', name: 'Gift card', price: 5_000, fulfilment: 'digital' },
  { sku: 'plan-pdf', name: 'Planting plan, PDF', price: 1_800, fulfilment: 'digital' },
];

const inGroup = (groupId: string, goods: readonly Good[]): Good[] =>
  goods.map((good) => ({ ...good, groupIds: [groupId] }));
const isLong = ({ size: sides }: Good): boolean => (sides?.length ?? 0) > 1_500;

/** What the made-up nursery and pottery yard sells. One good has no weight and one no size, on purpose. */
export const demoCatalogue: Catalogue = {
  format: 'emporos-catalogue',
  version: 1,
  goods: [
    ...inGroup('seeds', seeds),
    ...inGroup('dry-goods', bulbs),
    ...inGroup('live-plants', plants),
    ...inGroup('pots', pots),
    ...inGroup('long-goods', yard.filter(isLong)),
    ...inGroup(
      'soil',
      yard.filter((good) => !isLong(good)),
    ),
    ...inGroup('dry-goods', dry),
    ...digital,
  ],
};
