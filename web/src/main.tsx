import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import './theme.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { startTransition, StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { queryClient } from './api/client';
import { keepHere } from './api/kept';
import { HouseZone } from './areas/settings';
import { keepsHere } from './kept/keeping';
import { Pages } from './Pages';

/** What a phone keeps answers before anything is asked for: it may be out of reach from the start. */
if (keepsHere()) keepHere(import('./kept/begin').then(({ begin }) => begin(queryClient)));

const root = createRoot(document.getElementById('root')!);
startTransition(() =>
  root.render(
    <StrictMode>
      <QueryClientProvider client={queryClient}>
        <HouseZone>
          <BrowserRouter>
            <Pages />
          </BrowserRouter>
        </HouseZone>
      </QueryClientProvider>
    </StrictMode>,
  ),
);

// After the page itself: what others change can wait until it stands.
void import('./api/live').then(({ Live }) => new Live(queryClient).start());
