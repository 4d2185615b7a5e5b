import '@fontsource-variable/fraunces/index.css';
import '@fontsource-variable/source-sans-3/index.css';
import './app.css';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { BrowserRouter, Navigate, Route, Routes } from 'react-router';
import { BenchPage } from './bench/BenchPage';
import { Library } from './media/Library';
import { WayIn } from './people/WayIn';
import { Guests, TeamReview } from './review/Routes';
import { Shelf } from './shelf/Shelf';
import { applyTheme } from './theme';

applyTheme();
const queries = new QueryClient({
  defaultOptions: { queries: { staleTime: 5000, retry: 2, refetchOnWindowFocus: false } },
});

createRoot(document.getElementById('root') as HTMLElement).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <WayIn>
          <Routes>
            <Route path="/" element={<Shelf />} />
            <Route element={<Library />} path="/sites/:id/media" />
            <Route path="/review" element={<Guests />} />
            <Route path="/pages/:id/review" element={<TeamReview />} />
            <Route path="/pages/:id" element={<Navigate to="arrange" replace />} />
            <Route path="/pages/:id/:step" element={<BenchPage />} />
          </Routes>
        </WayIn>
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);
