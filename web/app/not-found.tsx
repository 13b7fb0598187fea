import Link from 'next/link';

const NotFound = () => (
  <main style={{ maxWidth: '44ch', margin: '20vh auto 0', padding: '0 20px' }}>
    <h1 style={{ fontWeight: 600, fontSize: 22 }}>There is no such rig.</h1>
    <p style={{ margin: '12px 0' }}>It may have been deleted, or the address is not complete.</p>
    <Link href="/" style={{ textDecoration: 'underline' }}>
      To the shelf
    </Link>
  </main>
);
export default NotFound;
