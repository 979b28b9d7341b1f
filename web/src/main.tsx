import '@fontsource/atkinson-hyperlegible-next/400.css';
import '@fontsource/atkinson-hyperlegible-next/700.css';
import '@fontsource/spline-sans-mono/400.css';
import '@fontsource/spline-sans-mono/600.css';
import './theme/global.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { keepOutbox } from './season/outbox';
import { CHANGE, newQueryClient } from './season/queue';
import { App } from './shell/App';
import { applyFonts } from './theme/tokens';

applyFonts();
const queries = newQueryClient();
const root = document.getElementById('app');
if (root) {
  void keepOutbox(queries, CHANGE);
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </QueryClientProvider>
    </StrictMode>,
  );
}
