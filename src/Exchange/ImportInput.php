<?php

declare(strict_types=1);

namespace AwakeShed\App\Exchange;

use AwakeShed\App\Job\Machine;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** What the import form holds: a file or its text, and what a case file does not say. */
final class ImportInput
{
    #[Assert\NotBlank(message: 'Give it a name people here will know it by.'), Assert\Length(max: Machine::LONGEST_TEXT)]
    public ?string $label = null;

    #[Assert\NotBlank(message: 'Whose is it?'), Assert\Length(max: Machine::LONGEST_TEXT)]
    public ?string $ownerName = null;

    public ?UploadedFile $file = null;
    public ?string $text = null;

    #[Assert\Callback]
    public function demandSomething(ExecutionContextInterface $context): void
    {
        if (null === $this->file && '' === trim((string) $this->text)) {
            $context->buildViolation('Choose a case file, or paste its text below.')->atPath('file')->addViolation();
        }
    }

    public function json(): string
    {
        return null === $this->file ? (string) $this->text : $this->file->getContent();
    }
}
