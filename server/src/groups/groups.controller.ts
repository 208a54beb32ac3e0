import { Body, Controller, Delete, Get, HttpCode, Inject, Param, ParseUUIDPipe, Patch, Post } from '@nestjs/common';
import { ChangeGroup, CreateGroup, type GroupView } from '@yaylak/contract';
import { GroupsService } from './groups.service';

@Controller('api/groups')
export class GroupsController {
  constructor(@Inject(GroupsService) private readonly groups: GroupsService) {}

  /** Groups in the order they were made, with how many animals are in each. */
  @Get()
  list(): GroupView[] {
    return this.groups.list();
  }

  /** Makes a group. */
  @Post()
  create(@Body() group: CreateGroup): Promise<GroupView> {
    return this.groups.create(group);
  }

  /** Takes back a group that no entry and no job speaks of. */
  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id', ParseUUIDPipe) id: string): Promise<void> {
    return this.groups.remove(id);
  }

  /** Changes a group on the version that was read. */
  @Patch(':id')
  change(@Param('id', ParseUUIDPipe) id: string, @Body() change: ChangeGroup): Promise<GroupView> {
    return this.groups.change(id, change);
  }
}
