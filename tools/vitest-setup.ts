import 'reflect-metadata';
import 'fake-indexeddb/auto';
