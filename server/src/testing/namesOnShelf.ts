import { routes, type Item } from '@bright-keeper/contract';
import type { TestApp } from './testApp.js';

/** How often each name stands on the shelf of a program, page by page to its end. */
export async function namesOnShelf({ http }: TestApp): Promise<Map<string, number>> {
  const count = new Map<string, number>();
  for (let cursor: string | null = ''; cursor !== null;) {
    const answer = await http.get(`${routes.gear}?limit=200${cursor && `&cursor=${cursor}`}`).expect(200);
    const page = answer.body as { items: (Item | { item: Item })[]; nextCursor: string | null };
    for (const row of page.items) {
      const { name } = 'item' in row ? row.item : row;
      count.set(name, (count.get(name) ?? 0) + 1);
    }
    cursor = page.nextCursor;
  }
  return count;
}
