import { Moon, Sun } from 'lucide-react';
import { switchTheme, useTheme } from './theme';

export function ThemeButton() {
  const night = useTheme() === 'lamp';
  return (
    <button
      type="button"
      className="btn btn-ghost btn-sm btn-square"
      aria-label={night ? 'Day theme' : 'Night theme'}
      title={night ? 'Day theme' : 'Night theme'}
      onClick={switchTheme}
    >
      {night ? <Sun size={17} /> : <Moon size={17} />}
    </button>
  );
}
