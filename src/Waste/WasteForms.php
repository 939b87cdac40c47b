<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Form\FormWriter;
use AwakeShed\App\Form\WrittenForm;
use AwakeShed\Core\Fuel\WasteStream;
use Symfony\Component\Form\FormFactoryInterface;
use Symfony\Component\Form\FormInterface;

/** What was poured away, and into which can: asked on a page of its own and beside the jar. */
final readonly class WasteForms
{
    private const NAME = 'waste';
    private const FIELDS = 'waste/_fields.html.twig';

    public function __construct(private FormFactoryInterface $forms, private FormWriter $writer)
    {
    }

    /** @return FormInterface<array<string, mixed>> */
    public function form(?WasteStream $stream = null): FormInterface
    {
        return $this->forms->createNamed(self::NAME, WasteType::class, ['stream' => $stream]);
    }

    /** @param WasteStream|null $stream the can that is proposed */
    public function untouched(?WasteStream $stream = null): WrittenForm
    {
        return $this->writer->untouched(self::NAME, self::FIELDS, $stream, fn (): FormInterface => $this->form($stream));
    }

    /**
     * @template T
     *
     * @param FormInterface<T> $form
     */
    public function tried(FormInterface $form): WrittenForm
    {
        return $this->writer->tried($form, self::FIELDS);
    }
}
