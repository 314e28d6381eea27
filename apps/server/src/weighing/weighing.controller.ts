import { WEIGHING_SHEETS, type WeighingSheet, type WhatIf, WhatIfSchema } from '@aftersquall/core';
import { BadRequestException, Controller, Get, Header, Param, ParseEnumPipe, Query } from '@nestjs/common';
import { ZodBody } from '../common/zodBody.ts';
import { WeighingService } from './weighing.service.ts';

/** Reads a what-if from the address; nothing means the map as it is. */
class WhatIfQuery extends ZodBody<WhatIf> {
  constructor() {
    super(WhatIfSchema);
  }

  override transform(value: unknown): WhatIf {
    if (value === undefined) return super.transform({});
    try {
      return super.transform(JSON.parse(String(value)));
    } catch (error) {
      if (error instanceof SyntaxError)
        throw new BadRequestException({ message: 'The what-if has to be written as JSON.' });
      throw error;
    }
  }
}

/** A weighed map, to take along. */
@Controller('api/maps/:id/weighing')
export class WeighingController {
  constructor(private readonly weighing: WeighingService) {}

  @Get()
  all(@Param('id') id: string, @Query('whatIf', new WhatIfQuery()) whatIf: WhatIf) {
    return this.weighing.weigh(id, whatIf);
  }

  @Get(':sheet.csv')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  sheet(
    @Param('id') id: string,
    @Param('sheet', new ParseEnumPipe(Object.fromEntries(WEIGHING_SHEETS.map((name) => [name, name]))))
    sheet: WeighingSheet,
    @Query('whatIf', new WhatIfQuery()) whatIf: WhatIf,
  ) {
    return this.weighing.sheet(id, sheet, whatIf);
  }
}
