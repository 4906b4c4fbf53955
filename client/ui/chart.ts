import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js'

/** Charts in the hand of the house; only the parts in use, so that the bundle stays small. */
Chart.register(BarController, BarElement, CategoryScale, LinearScale, LineElement, PointElement, Legend, Tooltip)
Chart.defaults.font.family = "'Source Sans 3 Variable', system-ui, sans-serif"
Chart.defaults.font.size = 14
Chart.defaults.color = '#22282c'

export { Bar, Scatter } from 'vue-chartjs'
