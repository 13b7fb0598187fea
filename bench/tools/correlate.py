# The same two recordings by scipy: where correlation is largest, in samples. correlate.py A.wav B.wav
import sys
import numpy
import scipy.io.wavfile
import scipy.signal

first, second = (
    scipy.io.wavfile.read(name)[1].astype(numpy.float32) / 32768 for name in sys.argv[1:3]
)
found = scipy.signal.correlate(second, first, mode="full", method="fft")
print(int(numpy.argmax(found)) - (len(first) - 1))
