<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

/** The code by which the first owner is known: made at set-up, printed in the terminal, worth nothing once used. */
final readonly class OpeningCode
{
    public function __construct(private string $runDir)
    {
    }

    /** The one that is good now; made when there is none. */
    public function current(): string
    {
        $code = $this->read();
        if (null === $code) {
            $code = bin2hex(random_bytes(12));
            $mask = umask(0o027);
            file_put_contents($this->file(), $code);
            umask($mask);
        }

        return $code;
    }

    public function isRight(#[\SensitiveParameter] string $typed): bool
    {
        $code = $this->read();

        return null !== $code && hash_equals($code, $typed);
    }

    public function throwAway(): void
    {
        @unlink($this->file());
    }

    private function read(): ?string
    {
        $code = is_file($this->file()) ? trim((string) file_get_contents($this->file())) : '';

        return '' === $code ? null : $code;
    }

    private function file(): string
    {
        return $this->runDir.'/state/first-owner';
    }
}
