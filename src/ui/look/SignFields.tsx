import type { ReactNode } from 'react'
import {
  SIGN_COLOURS,
  SIGN_FONTS,
  SIGN_PLACES,
  SIGN_WEIGHTS,
  type Sign,
} from '@/core/model/kinds/look'
import { Choices, Slider } from './Choices'

const FONTS = { display: 'font-display', text: 'font-sans', figures: 'font-mono' }
const WEIGHTS: Record<number, string> = { 400: 'light', 600: 'medium', 800: 'heavy' }
const COLOURS = { hue: 'text-hue', ink: 'text-ink', soft: 'text-soft' }

interface Bounds {
  least: number
  most: number
}

/** How the name is drawn: letters, colour, and where. */
export function SignFields({
  sign,
  sizes,
  opacities,
  onSet,
}: {
  sign: Sign
  sizes: Bounds
  opacities: Bounds
  onSet(change: Partial<Sign>): void
}) {
  const three = <K extends 'font' | 'weight' | 'colour'>(
    name: string,
    field: K,
    of: readonly Sign[K][],
    draw: (choice: Sign[K]) => ReactNode,
  ) => (
    <Choices
      name={name}
      of={of}
      chosen={sign[field]}
      onChoose={(choice) => onSet({ [field]: choice } as Partial<Sign>)}
      className="grid grid-cols-3 gap-1"
      each="h-7"
      says={(choice) => WEIGHTS[choice as Sign['weight']] ?? String(choice)}
    >
      {draw}
    </Choices>
  )
  return (
    <div className="mt-2 grid grid-cols-[minmax(0,1fr)_108px] gap-3">
      <div className="flex flex-col gap-2">
        {three('Font', 'font', SIGN_FONTS, (font) => (
          <span className={FONTS[font]}>{font}</span>
        ))}
        {three('Weight', 'weight', SIGN_WEIGHTS, (weight) => (
          <span style={{ fontWeight: weight }}>Aa</span>
        ))}
        {three('Colour', 'colour', SIGN_COLOURS, (colour) => (
          <span className={COLOURS[colour]}>{colour}</span>
        ))}
      </div>
      <Choices
        name="Place"
        of={SIGN_PLACES}
        chosen={sign.place}
        onChoose={(place) => onSet({ place })}
        className="grid grid-cols-3 gap-0.5 self-start"
        each="h-[30px]"
      >
        {(choice) => (
          <span
            aria-hidden
            className={choice === sign.place ? 'size-2.5 bg-ink' : 'size-1.5 bg-edge'}
          />
        )}
      </Choices>
      <div className="col-span-2 flex flex-col gap-1.5">
        <Slider
          name="Size"
          value={sign.size}
          {...sizes}
          unit=" px"
          onSet={(size) => onSet({ size })}
        />
        <Slider
          name="Opacity"
          value={sign.opacity}
          {...opacities}
          unit=" %"
          onSet={(opacity) => onSet({ opacity })}
        />
      </div>
    </div>
  )
}
