/** The materials of the look, by name. Screens use them through the theme only. */
export const light = {
  paper: '#FBF7EE',
  wall: '#F1EADB',
  panel: '#FFFDF9',
  slate: '#23313A',
  slate2: '#55636B',
  hairline: '#DDD3C0',
  verdigris: '#17665E',
  wash: '#DDECE8',
  brick: '#A8412A',
  brickWash: '#F6E3DC',
  ochre: '#E0A63A',
  ochreWash: '#FBEFD5',
  lake: '#2C5F8A',
  lakeWash: '#DFEAF3',
  ledge: '#E4D9C3',
};

export type Colours = typeof light;

/** The same hues after sunset. Paper stays paper, since inks are made for it. */
export const dusk: Colours = {
  paper: '#FBF7EE',
  wall: '#1B2328',
  panel: '#222C32',
  slate: '#F0EADD',
  slate2: '#B9BFBD',
  hairline: '#3B474E',
  verdigris: '#6FBFB3',
  wash: '#24423F',
  brick: '#EE957D',
  brickWash: '#4A2F28',
  ochre: '#E0A63A',
  ochreWash: '#453A22',
  lake: '#8FBBE0',
  lakeWash: '#263B4C',
  ledge: '#2A353B',
};
