import { t } from '../../../../core/translate/translate.ts';
import { fileName, saveBytes, saveFile } from '../../../files/files.ts';
import { dayNow } from '../../../time/now.ts';
import { TextAction } from '../../../parts/text-action.tsx';
import { useInks } from '../../../theme/theme.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { Actions } from '../../../parts/actions.tsx';

/** Twice as many pixels as on the page, so that it can be printed. */
const SCALE = 2;

interface Drawn {
  text: string;
  width: number;
  height: number;
}

/** A chart of the page as a drawing that stands by itself, on the page's ground. */
const drawn = (id: string, ground: string): Drawn | null => {
  const svg = document.querySelector(`#${id} svg`);
  if (!svg) return null;
  const { width, height } = svg.getBoundingClientRect();
  const copy = svg.cloneNode(true) as SVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('viewBox', `0 0 ${width} ${height}`);
  copy.removeAttribute('aria-hidden');
  const back = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  Object.entries({ width, height, fill: ground }).forEach(([name, value]) =>
    back.setAttribute(name, String(value)),
  );
  copy.prepend(back);
  return { text: new XMLSerializer().serializeToString(copy), width, height };
};

const asPng = async ({ text, width, height }: Drawn): Promise<ArrayBuffer> => {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = width * SCALE;
  canvas.height = height * SCALE;
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new Error('the browser gave no picture');
  return blob.arrayBuffer();
};

/** A chart saved as a drawing or a picture. */
export const ChartSave = ({ id, name }: { id: string; name: string }) => {
  const inks = useInks();
  const { store } = useBookParts('store');
  const named = (kind: 'svg' | 'png'): string => fileName(store.name, name, dayNow(store), kind);
  const save = async (kind: 'svg' | 'png'): Promise<void> => {
    const chart = drawn(id, inks.ground);
    if (!chart) return;
    if (kind === 'svg') saveFile(named('svg'), chart.text);
    else saveBytes(named('png'), await asPng(chart), 'image/png');
  };
  return (
    <Actions>
      <TextAction label={t('Save the chart as SVG')} onPress={() => void save('svg')} />
      <TextAction label={t('Save as PNG')} onPress={() => void save('png')} />
    </Actions>
  );
};
