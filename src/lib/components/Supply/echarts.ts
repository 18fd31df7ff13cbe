/** Only what the charts use of the library. */
import { LineChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components';
import { init, use } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';

use([LineChart, GridComponent, MarkAreaComponent, MarkLineComponent, CanvasRenderer]);
export { init };
