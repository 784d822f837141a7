import {
  Body,
  Controller,
  Get,
  HttpCode,
  HttpStatus,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
  Query,
} from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiTags } from '@nestjs/swagger';
import { InWorkshop } from '../access/inWorkshop.js';
import {
  BalanceView,
  ChangeStockDto,
  HeldStockView,
  itemOf,
  LedgerPageDto,
  LedgerPageView,
  MoveDto,
  ReceiveDto,
  SplitDto,
} from './stock.dto.js';
import { StockService } from './stock.service.js';

@ApiTags('stock')
@Controller('stock')
@InWorkshop()
export class StockController {
  constructor(private readonly stock: StockService) {}

  @Get()
  @ApiOkResponse({ type: [HeldStockView] })
  list(): Promise<HeldStockView[]> {
    return this.stock.list();
  }

  @Get('ledger')
  @ApiOkResponse({ type: LedgerPageView })
  ledger(@Query() { before, search }: LedgerPageDto): Promise<LedgerPageView> {
    return this.stock.ledgerPage(before ?? null, search ?? '');
  }

  @Get('ledger/balance')
  @ApiOkResponse({ type: BalanceView })
  balance(): Promise<BalanceView> {
    return this.stock.balance();
  }

  @Post()
  @ApiCreatedResponse({ type: [HeldStockView] })
  async receive(@Body() { received }: ReceiveDto): Promise<HeldStockView[]> {
    const made = new Set((await this.stock.receive(received)).map((item) => item.id));
    return (await this.stock.list()).filter((held) => made.has(held.item.id));
  }

  @Put(':id')
  @HttpCode(HttpStatus.NO_CONTENT)
  async change(@Param('id', ParseUUIDPipe) id: string, @Body() dto: ChangeStockDto): Promise<void> {
    await this.stock.change(id, itemOf(dto), dto.basedOn);
  }

  @Post(':id/moves')
  @HttpCode(HttpStatus.NO_CONTENT)
  move(@Param('id', ParseUUIDPipe) id: string, @Body() dto: MoveDto): Promise<void> {
    return this.stock.move(id, dto);
  }

  @Post(':id/split')
  @HttpCode(HttpStatus.OK)
  @ApiOkResponse({ type: [HeldStockView] })
  async split(@Param('id', ParseUUIDPipe) id: string, @Body() dto: SplitDto): Promise<HeldStockView[]> {
    const made = await this.stock.split(id, dto);
    return (await this.stock.list()).filter((held) => held.item.id === made.id);
  }
}
