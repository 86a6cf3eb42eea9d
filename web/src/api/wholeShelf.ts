import type { Shelf, ShelfItem } from '@bright-keeper/contract';
import { shelfPage } from '../kept/addresses';
import { http } from './http';

/** Every thing on the shelf by name, page by page. */
export async function wholeShelf(): Promise<ShelfItem[]> {
  const all: ShelfItem[] = [];
  for (let cursor: string | null = null; ;) {
    const page: Shelf = await http.get<Shelf>(shelfPage(cursor));
    all.push(...page.items);
    cursor = page.nextCursor;
    if (cursor === null) return all;
  }
}
