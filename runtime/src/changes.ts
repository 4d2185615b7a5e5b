import { ways } from './ways';

window.giostra.lend({ ways });
