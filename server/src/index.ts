export { readConfig, type ServerConfig } from './config';
export { createApp } from './createApp';
export { openBook, closeBook } from './database/openBook';
export { BookService } from './book/book.service';
export { bookChunks } from './exchange/bookChunks';
export { BookFileService } from './exchange/bookFile.service';
export { Clock } from './common/clock';
