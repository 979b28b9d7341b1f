import 'virtual:antd.css';
import '@fontsource/atkinson-hyperlegible-next/400.css';
import '@fontsource/atkinson-hyperlegible-next/700.css';
import '@fontsource/spline-sans-mono/400.css';
import '@fontsource/spline-sans-mono/600.css';
import './theme/global.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter } from 'react-router';
import { keepKnown } from './season/known';
import { keepLog } from './season/logbox';
import { keepOutbox } from './season/outbox';
import { BUY, rememberBuying } from './season/purchases';
import { knowFromPage } from './season/fromPage';
import { CHANGE, newQueryClient } from './season/queue';
import { App } from './shell/App';
import { applyFonts } from './theme/tokens';

applyFonts();
const queries = newQueryClient();
const root = document.getElementById('app');
if (root) {
  void keepKnown(queries);
  rememberBuying(queries);
  void keepOutbox(queries, [CHANGE, BUY]);
  keepLog(queries);
  knowFromPage(queries);
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

// Kept code, so that the application opens without a connection. Where there is no HTTPS, it goes without.
if (import.meta.env.PROD && 'serviceWorker' in navigator)
  window.addEventListener('load', () => {
    const { serviceWorker } = navigator;
    serviceWorker
      .register('/sw.js')
      .then(() => serviceWorker.ready)
      .then(({ active }) => serviceWorker.controller ?? active?.postMessage('claim'))
      .catch(() => undefined);
  });
