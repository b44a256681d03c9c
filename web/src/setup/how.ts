/** Figures that can be laid open, by their name in the core. */
export type HowFigure =
  | 'weight'
  | 'trim'
  | 'list'
  | 'gm'
  | 'wells'
  | 'power'
  | 'volts'
  | 'drop'
  | 'fuse'
  | 'charging'
  | 'cone'
  | 'mount'
