import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import './theme.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { startTransition, StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { queryClient } from './api/client';
import { HouseZone } from './areas/settings';
import { Pages } from './Pages';

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
