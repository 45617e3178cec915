// For tests of whatever tells or reads news: random news of every kind on the list.
export { anyNews } from './anyNews.ts'
