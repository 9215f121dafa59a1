'use client'
import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js'
import { useMemo } from 'react'
import { Bar } from 'react-chartjs-2'
import type { Hue } from '@/core/model/kinds/look'

Chart.register(BarController, BarElement, CategoryScale, LinearScale)
Chart.defaults.font.family = getComputedStyle(document.body).fontFamily

/** A colour of the page as it is now, by its custom property. */
function colour(property: string, hue?: Hue): string {
  const probe = document.createElement('span')
  if (hue) probe.className = `hue-${hue}`
  probe.style.color = `var(${property})`
  document.body.append(probe)
  const { color } = getComputedStyle(probe)
  probe.remove()
  return color
}

/** Bars for what the table below says in figures. */
export default function TimeChart({
  bars,
  height,
}: {
  bars: { name: string; minutes: number; hue: Hue }[]
  /** In CSS pixels. */
  height: number
}) {
  const data = useMemo(
    () => ({
      labels: bars.map(({ name }) => name),
      datasets: [
        {
          data: bars.map(({ minutes }) => minutes),
          backgroundColor: bars.map(({ hue }) => colour('--h', hue)),
          barThickness: 12,
        },
      ],
    }),
    [bars],
  )
  const options = useMemo(() => {
    const [ink, seam] = [colour('--soft'), colour('--seam')]
    return {
      indexAxis: 'y' as const,
      animation: false as const,
      maintainAspectRatio: false,
      scales: {
        x: {
          title: { display: true, text: 'minutes', color: ink },
          ticks: { color: ink },
          grid: { color: seam },
        },
        y: { ticks: { color: ink, autoSkip: false }, grid: { display: false } },
      },
    }
  }, [])
  return (
    <div className="shrink-0" style={{ height }}>
      <Bar aria-hidden data={data} options={options} />
    </div>
  )
}
