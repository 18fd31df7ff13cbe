/** Only what the charts use of the library. */
import { LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components';
import { init, use } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { CanvasRenderer } from 'echarts/renderers';

use([LineChart, ScatterChart, GridComponent, MarkAreaComponent, MarkLineComponent]);
use([LabelLayout, CanvasRenderer]);
export { init };
