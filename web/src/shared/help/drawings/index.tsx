import type { ReactElement } from 'react';
import { BandKey } from '../../../parts/BandKey';
import { EarDrawing } from './EarDrawing';
import { HandlingDrawing } from './HandlingDrawing';
import { LoinDrawing } from './LoinDrawing';
import { PresentationDrawing } from './PresentationDrawing';

const DRAWINGS = {
  band: BandKey,
  ear: EarDrawing,
  handling: HandlingDrawing,
  loin: () => <LoinDrawing score={3} />,
  presentation: PresentationDrawing,
} satisfies Readonly<Record<string, () => ReactElement>>;

export type DrawingName = keyof typeof DRAWINGS;

/** A drawing of the help by its name. */
export function HelpDrawing({ name }: { readonly name: DrawingName }) {
  const Drawing = DRAWINGS[name];
  return <Drawing />;
}
