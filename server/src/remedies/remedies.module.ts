import { Module } from '@nestjs/common';
import { BookModule } from '../book/book.module';
import { ProductsService } from './products.service';
import { RegisterService } from './register.service';
import { RemediesController } from './remedies.controller';
import { RemediesService } from './remedies.service';

@Module({
  imports: [BookModule],
  controllers: [RemediesController],
  providers: [ProductsService, RegisterService, RemediesService],
  exports: [ProductsService, RemediesService],
})
export class RemediesModule {}
