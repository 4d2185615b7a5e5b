import {
  Columns2,
  Heading,
  Image,
  type LucideIcon,
  RectangleHorizontal,
  RectangleVertical,
  TextQuote,
  Type,
} from 'lucide-react';
import { CarouselSign } from './CarouselSign';

/** The sign of each type of node; sections and the page have none. */
export const icons: Readonly<Record<string, LucideIcon | typeof CarouselSign>> = {
  carousel: CarouselSign,
  heading: Heading,
  text: Type,
  picture: Image,
  button: RectangleHorizontal,
  columns: Columns2,
  column: RectangleVertical,
  item: TextQuote,
};
