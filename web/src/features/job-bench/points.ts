import type { Probe } from '../../shared/api/jobs'

export const NO_POINTS: Probe = { by: 'volts', from: '', to: '', situation: '', opened: [] }

/** A stop of the drawing that was tapped: the first tap is the red lead, the next the black one, and round again. */
export function touched(points: Probe, node: string, situation: string): Probe {
  const asked = { ...points, situation: points.situation || situation }
  if (points.from === '' || points.to !== '') return { ...asked, from: node, to: '' }
  return { ...asked, to: node }
}
