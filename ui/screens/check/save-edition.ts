import { editionFileName, editionFileText } from '../../../core/formats/edition-file.ts';
import type { Edition } from '../../../core/formats/edition.ts';
import type { TestOrder } from '../../../core/model/test-order.ts';
import { saveFile } from '../../files/files.ts';
import { sha256 } from '../../files/sha256.ts';
import { keptTestOrders } from '../../workers/start-audit.ts';

/**
 * Saves an edition as one file for a quote service, with those of the test orders that it keeps: the service tries it
 * against them before it is served.
 */
export const saveEdition = async (edition: Edition, testOrders: readonly TestOrder[]): Promise<void> => {
  const { book, catalogue } = edition;
  const ids = new Set(await keptTestOrders({ book, catalogue, testOrders: [...testOrders] }));
  const kept = testOrders.filter(({ id }) => ids.has(id));
  saveFile(editionFileName(edition), await editionFileText(edition, kept, sha256));
};
