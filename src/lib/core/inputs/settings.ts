import * as v from 'valibot';
import { within } from '../quantity/within';
import { PRICE_RANGE } from './defaults';
import { SPARK_SCHOOLS } from '../speed/speed';

export const SettingsSchema = v.object({
	/** Change the electrode at this pit depth: 1.0 mm (cautious) or 1.5 mm are the two schools. */
	pitLimitMm: within(0.5, 3, 'mm'),
	pierceTiltDeg: v.picklist([20, 30, 45], '20, 30 or 45 °'),
	sparks: v.picklist(SPARK_SCHOOLS, 'trailing or straight'),
	currency: v.picklist(['EUR', 'USD', 'GBP'], 'EUR, USD or GBP'),
	/** null: nobody has said; costs are then not told. */
	electrodePrice: v.nullable(within(...PRICE_RANGE, '')),
	nozzlePrice: v.nullable(within(...PRICE_RANGE, '')),
	/** The worker's hour. */
	labourPerH: v.nullable(within(...PRICE_RANGE, '')),
	/** Setting down, marking and clamping for each cut, s. */
	handlingS: within(0, 3600, 's'),
	pricePerKwh: v.nullable(within(0, 10, '')),
	/** Of one full bottle. */
	bottlePrice: v.nullable(within(...PRICE_RANGE, ''))
});

export type Settings = v.InferOutput<typeof SettingsSchema>;
