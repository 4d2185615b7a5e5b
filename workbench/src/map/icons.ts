import {
  Code,
  Columns2,
  Heading,
  Image,
  type LucideIcon,
  Pin,
  RectangleHorizontal,
  RectangleVertical,
  SquareStack,
  TextQuote,
  Type,
} from 'lucide-react';
import { kindSign } from './KindSign';

/** The sign of each type of node; the page has none. */
export const icons: Readonly<Record<string, LucideIcon | ReturnType<typeof kindSign>>> = {
  slider: kindSign('slider'),
  carousel: kindSign('carousel'),
  tabs: kindSign('tabs'),
  accordion: kindSign('accordion'),
  'flip-boxes': kindSign('flip-boxes'),
  counters: kindSign('counters'),
  video: kindSign('video'),
  section: SquareStack,
  heading: Heading,
  text: Type,
  picture: Image,
  button: RectangleHorizontal,
  'own-html': Code,
  columns: Columns2,
  column: RectangleVertical,
  item: TextQuote,
  pin: Pin,
};
