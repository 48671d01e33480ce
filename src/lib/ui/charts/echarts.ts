import { BarChart, LineChart } from 'echarts/charts';
import { GridComponent } from 'echarts/components';
import { use } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';

use([BarChart, LineChart, GridComponent, CanvasRenderer]);

/** The charts this application draws, and no more of the library; loaded when the first one is seen. */
export { init } from 'echarts/core';
