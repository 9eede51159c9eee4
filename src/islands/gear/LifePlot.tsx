import { later } from '../frame/later';

/** The plot is fetched when there is something to draw: it is the heaviest thing of the page. */
const { View } = later(() => import('../../ui/charts/LifeChart').then((there) => there.LifeChart));

export const LifePlot = View;
