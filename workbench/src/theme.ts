import { useSyncExternalStore } from 'react';

type Theme = 'paper' | 'lamp';
const KEY = 'giostra.theme';
const views = new Set<() => void>();

/** Day or night: as chosen here, else as the system says. */
export function theme(): Theme {
  const chosen = localStorage.getItem(KEY);
  if (chosen === 'paper' || chosen === 'lamp') return chosen;
  return matchMedia('(prefers-color-scheme: dark)').matches ? 'lamp' : 'paper';
}

export function applyTheme() {
  document.documentElement.dataset.theme = theme();
  views.forEach((view) => {
    view();
  });
}

export function switchTheme() {
  localStorage.setItem(KEY, theme() === 'paper' ? 'lamp' : 'paper');
  applyTheme();
}

export const useTheme = () =>
  useSyncExternalStore((view) => {
    views.add(view);
    return () => {
      views.delete(view);
    };
  }, theme);
